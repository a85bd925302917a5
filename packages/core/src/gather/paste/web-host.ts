/**
 * Whether the host of a pasted address can be one: labels of letters, digits and hyphens (IDNA2008, RFC 5891) under a
 * known public suffix, a name that the school listed, a name for local use or for examples, or an IP address.
 */
import { parse } from 'tldts';
import type { IsListedHost } from '../service-description/listed-hosts.js';
import { parseUrl } from '../../platform/web-address.js';

/** `unlisted`: it could be one, and nothing vouches for it: a misspelt ending, a machine of the school's network. */
export type HostStanding = 'known' | 'unlisted' | 'impossible';

/** Endings for local networks and for examples (RFC 2606, RFC 6761, RFC 6762, RFC 8375). */
const reservedEnding = /(?:^|\.)(?:example|test|localhost|local|internal|home\.arpa)$/;
// U+200C and U+200D join letters of scripts that need them (RFC 5892, A.1 and A.2).
const label = /^[\p{L}\p{N}](?:(?:[\p{L}\p{M}\p{N}\u00b7\u30fb-]|\u200c|\u200d)*[\p{L}\p{M}\p{N}])?$/u;
const asciiLabel = /^[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?$/;

/** Judges a host as it was typed, without port. @param isListed names that the school gave */
export function standingOfHost(host: string, isListed: IsListedHost = () => false): HostStanding {
  if (/^\[[0-9a-f:.]+\]$/i.test(host)) return parseUrl(`http://${host}/`) ? 'known' : 'impossible';
  if (/^[\d.]+$/.test(host)) return isDottedQuad(host) ? 'known' : 'impossible';
  const name = domainName(host);
  if (name === null) return 'impossible';
  if (isListed(name) || name === 'localhost') return 'known';
  if (!name.includes('.')) return 'unlisted';
  return reservedEnding.test(name) || hasPublicSuffix(name) ? 'known' : 'unlisted';
}

/** The name in ASCII (UTS 46); null for what can be none. */
function domainName(host: string): string | null {
  if (!host.split(/[.\u3002\uff0e\uff61]/).every((part) => label.test(part))) return null;
  const name = parseUrl(`http://${host}/`)?.hostname ?? '';
  return name !== '' && name.length <= 253 && name.split('.').every((part) => asciiLabel.test(part)) ? name : null;
}

function hasPublicSuffix(name: string): boolean {
  const { isIcann, domain } = parse(name);
  return isIcann === true && domain !== null;
}

/** "192.168.1.20", not "9.30": the URL standard takes both for an IPv4 address. */
function isDottedQuad(host: string): boolean {
  const parts = host.split('.');
  return parts.length === 4 && parts.every((part) => part !== '' && part.length < 4 && Number(part) < 256);
}
