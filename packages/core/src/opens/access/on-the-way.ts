/** Which described services a link led through: a short link of anybody's may stand before the service that matters. */
import type { KnownService, ServiceCatalogue } from '../../gather/service-description/catalogue.js';
import { serviceAt } from '../../gather/service-description/match.js';
import { hostNameOf } from '../../platform/web-address.js';
import type { Evidence } from './evidence.js';

/** Names of the hosts on the way, each once. */
export function hostsOnTheWay({ hops }: Pick<Evidence, 'hops'>): readonly string[] {
  return [...new Set(hops.flatMap(({ address }) => hostNameOf(address) ?? []))];
}

/** In the order of the way, each once. */
export function servicesOnTheWay(
  { asked, hops }: Pick<Evidence, 'asked' | 'hops'>,
  catalogue: ServiceCatalogue,
): readonly KnownService[] {
  const hosts = [hostNameOf(asked) ?? [], hostsOnTheWay({ hops })].flat();
  return [...new Set(hosts.flatMap((host) => serviceAt(host, catalogue) ?? []))];
}

/** The address at which the material is looked after: the first on the way that belongs to a described service, or the link itself. */
export function addressAtService(
  { asked, hops }: Pick<Evidence, 'asked' | 'hops'>,
  catalogue: ServiceCatalogue,
): string {
  return (
    [asked, ...hops.map(({ address }) => address)].find((address) => serviceAt(hostNameOf(address) ?? '', catalogue)) ??
    asked
  );
}
