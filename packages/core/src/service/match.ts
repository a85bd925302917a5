/** Finds the description of an address: by host first, then the first path pattern that fits. */
import { parseUrl } from '../intake/read-intake.js';
import type { AddressDescription, ServiceDescription } from './description.js';

export interface DescribedAddress {
  readonly service: ServiceDescription;
  /** Null when the host is known and the path is not. */
  readonly address: AddressDescription | null;
}

/** The service that an address belongs to; null for a stranger. */
export function describeAddress(link: string, services: readonly ServiceDescription[]): DescribedAddress | null {
  const url = parseUrl(link);
  if (!url) return null;
  const service = services.find((candidate) => candidate.hosts.some((host) => hostMatches(host, url.hostname)));
  if (!service) return null;
  return { service, address: service.addresses.find((address) => pathMatches(address.path, url.pathname)) ?? null };
}

/** `*.example.org` covers `a.example.org` and `a.b.example.org`, not `example.org` itself. */
export function hostMatches(pattern: string, host: string): boolean {
  const wanted = pattern.toLowerCase();
  const given = host.toLowerCase();
  return wanted.startsWith('*.') ? given.endsWith(wanted.slice(1)) && given.length > wanted.length - 1 : given === wanted;
}

/** Compares part by part, so that no pattern can take long. */
export function pathMatches(pattern: string, path: string): boolean {
  const wanted = pattern.split('/').filter((part) => part !== '');
  const given = path.split('/').filter((part) => part !== '');
  for (const [index, part] of wanted.entries()) {
    if (part === '**') return true;
    const here = given[index];
    if (here === undefined || (part !== '*' && part !== here)) return false;
  }
  return wanted.length === given.length;
}
