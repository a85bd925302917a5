/** Hosts that the school itself named, so that nobody has to vouch for them. */
import { parseUrl } from '../../platform/web-address.js';
import type { ServiceCatalogue } from './catalogue.js';
import { hostMatches } from './match.js';

/** True for a host that the school itself named: of its services, or its own. */
export type IsListedHost = (hostName: string) => boolean;

/** The hosts of the school's services and its own. @param own addresses of the school itself, such as its public one */
export function listedHosts({ services }: ServiceCatalogue, own: readonly (string | null)[] = []): IsListedHost {
  const patterns = services.flatMap(({ description }) => description.hosts);
  const names = new Set(own.map((address) => parseUrl(address ?? '')?.hostname ?? address));
  return (host) => names.has(host) || patterns.some((pattern) => hostMatches(pattern, host));
}
