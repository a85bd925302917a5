/** Finds the description of an address: by host first, then the first of its addresses that fits. */
import { fillTemplate } from './address-path.js';
import type { KnownService, ServiceCatalogue } from './catalogue.js';
import type { AddressDescription, ServiceDescription } from './description.js';
import { parseUrl } from '../../platform/web-address.js';

/** What a description says of an address. */
export interface DescribedAddress {
  readonly service: ServiceDescription;
  /** Null when the host is known and the path is not. */
  readonly address: AddressDescription | null;
  /** The student's link to the same thing; null where this is it already, or where it can't be worked out. */
  readonly studentLink: string | null;
}

/** The service that an address belongs to; null for a stranger. */
export function describeAddress(link: string, catalogue: ServiceCatalogue): DescribedAddress | null {
  const url = parseUrl(link);
  const service = url ? serviceAt(url.hostname, catalogue) : null;
  if (!url || !service) return null;
  for (const { address, match } of service.addresses) {
    const named = match(url.pathname, url.search);
    if (named)
      return { service: service.description, address, studentLink: studentLinkOf(link, url.origin, address, named) };
  }
  return { service: service.description, address: null, studentLink: null };
}

function studentLinkOf(
  link: string,
  origin: string,
  address: AddressDescription,
  named: Readonly<Record<string, string>>,
): string | null {
  if (address.role === 'student' || address.studentLink === undefined) return null;
  const made = origin + fillTemplate(address.studentLink, named);
  return parseUrl(made)?.origin === origin && made !== link ? made : null;
}

/** The service that has that host; null for a stranger's. */
export function serviceAt(host: string, { services }: ServiceCatalogue): KnownService | null {
  return services.find(({ description }) => description.hosts.some((pattern) => hostMatches(pattern, host))) ?? null;
}

/** True for a host at which the school runs short links itself. */
export function isOwnShortener(host: string, { services }: ServiceCatalogue): boolean {
  return services.some(
    ({ description }) => description.shorteners?.some((pattern) => hostMatches(pattern, host)) ?? false,
  );
}

/** `*.example.org` covers `a.example.org` and `a.b.example.org`, not `example.org` itself. */
export function hostMatches(pattern: string, host: string): boolean {
  const wanted = pattern.toLowerCase();
  const given = host.toLowerCase();
  return wanted.startsWith('*.')
    ? given.endsWith(wanted.slice(1)) && given.length > wanted.length - 1
    : given === wanted;
}
