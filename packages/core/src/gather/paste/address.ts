/** One web address in a pasted text, by what it begins with: a scheme, something like one, or a host alone. */
import { isLoopbackHost } from '../../platform/web-address.js';
import type { IsListedHost } from '../service-description/listed-hosts.js';
import { bodyAt, run, standingOf, type AddressBody, type FoundAddress } from './address-body.js';
import { matchAt } from './match-at.js';
import { repair, type Repair } from './repairs.js';
import { schemeAt } from './scheme.js';
import { standingOfHost } from './web-host.js';

const bareHost =
  /(?:[\p{L}\p{N}](?:[\p{L}\p{M}\p{N}-]*[\p{L}\p{M}\p{N}])?\.)+(?:[\p{L}\p{M}]{2,24}|xn--[a-z0-9-]+)(?![\p{L}\p{M}\p{N}@]|-[\p{L}\p{N}]|\.[\p{L}\p{N}])/uy;
const localHost = /(?:localhost|\d{1,3}(?:\.\d{1,3}){3})(?=[:/])/iy;

/** A whole address in percent-encoding, "https%3A%2F%2F…", as it is in the query of another; null for none. */
export function encodedAddressAt(text: string, start: number, isListed: IsListedHost): FoundAddress | null {
  const raw = /^https?%3a%2f%2f/i.test(text.slice(start, start + 14)) ? (matchAt(run, text, start)?.[0] ?? '') : '';
  const found = raw === '' ? null : schemedAddressAt(decodePercent(raw), 0, isListed);
  if (found?.standing !== 'known') return null;
  return {
    ...found,
    start,
    end: start + raw.length,
    repairs: [repair('percent-decoded', '%3A', ':'), ...found.repairs],
  };
}

function decodePercent(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

/** An address with a scheme, or something like one, at this place; null for none. */
export function schemedAddressAt(text: string, start: number, isListed: IsListedHost): FoundAddress | null {
  const found = schemeAt(text, start);
  if (!found) return null;
  const { scheme, certainty, doubled, typed, length } = found;
  const repairs = [
    ...(doubled === '' ? [] : [repair('scheme-doubled', doubled)]),
    ...(certainty === 'exact' ? [] : [schemeRepair(typed, scheme)]),
  ];
  const body = bodyAt({ text, isListed, before: start }, start + length);
  return {
    ...body,
    start,
    link: scheme + body.link,
    repairs: [...repairs, ...body.repairs],
    evidence: certainty === 'guess' ? 'guess' : 'scheme',
    joined: body.joined && {
      ...body.joined,
      link: scheme + body.joined.link,
      repairs: [...repairs, ...body.joined.repairs],
    },
  };
}

function schemeRepair(typed: string, scheme: string): Repair {
  const isBlank = typed.replaceAll(' ', '').toLowerCase() === scheme;
  return isBlank ? repair('blank-removed', ' ') : repair('scheme-repaired', typed, scheme);
}

/** True for an address that is in order as it was typed, with a scheme and a host that is known. */
export function isInOrder(link: string, isListed: IsListedHost): boolean {
  const scheme = /^https?:\/\//i.exec(link)?.[0];
  return scheme !== undefined && standingOf(link.slice(scheme.length), isListed) === 'known';
}

/** An address without scheme whose host is known; null for none. */
export function bareAddressAt(text: string, start: number, isListed: IsListedHost): FoundAddress | null {
  const host = (matchAt(bareHost, text, start) ?? matchAt(localHost, text, start))?.[0];
  if (host === undefined) return null;
  const after = text[start + host.length] ?? '';
  const body = /[/?#:\\]/.test(after)
    ? bodyAt({ text, isListed, before: start }, start)
    : hostAlone(text, start, host, isListed);
  if (body.standing !== 'known') return null;
  const scheme = /^\d/.test(host) || isLoopbackHost(host.toLowerCase()) ? 'http://' : 'https://';
  const repairs = [repair('scheme-missing', '', scheme)];
  return {
    ...body,
    start,
    link: scheme + body.link,
    repairs: [...repairs, ...body.repairs],
    evidence: evidenceOfHost(host, body.link, isListed),
    joined: body.joined && {
      ...body.joined,
      link: scheme + body.joined.link,
      repairs: [...repairs, ...body.joined.repairs],
    },
  };
}

/** A host with its commas taken for dots, `www,example,org`; null for none. */
export function commaAddressAt(text: string, start: number, isListed: IsListedHost): FoundAddress | null {
  const found = /^www,[^\s/]+(?:\/\S*)?/i.exec(text.slice(start, start + maxHost))?.[0];
  if (found === undefined) return null;
  const body = bodyAt({ text, isListed, before: start }, start);
  if (body.standing !== 'known') return null;
  const repairs = [repair('scheme-missing', '', 'https://'), ...body.repairs];
  return { ...body, start, link: `https://${body.link}`, repairs, evidence: 'path', joined: null };
}

// A blank in front of a dot or a path, or behind "www.": a blank behind any other dot begins a sentence.
const spacedHost =
  /(?:www\. ?|[\p{L}\p{N}-]+(?: \. ?|\.))(?:[\p{L}\p{N}-]+(?: \. ?|\.))*[\p{L}]{2,24}(?: ?\/[^\s<>"“”]+)?/iuy;

/** A host with blanks in it and a path or `www.` that tells it from words: "cofferlane . example/leaf"; null for none. */
export function spacedAddressAt(text: string, start: number, isListed: IsListedHost): FoundAddress | null {
  const raw = matchAt(spacedHost, text, start)?.[0];
  if (!raw?.includes(' ')) return null;
  const found = bareAddressAt(raw.replaceAll(' ', ''), 0, isListed);
  if (found?.evidence !== 'path' || found.end !== raw.replaceAll(' ', '').length) return null;
  return {
    ...found,
    start,
    end: start + raw.length,
    repairs: [...found.repairs, repair('blank-removed', ' ')],
    joined: null,
  };
}

const maxHost = 300;
/** Endings that are files at least as often as hosts. */
const fileEndings = /\.(?:md|py|rs|sh|pl|ps|cc|so|zip|mov|app|ai|pub|tf|st|mm|cs|fm|as|in)$/i;
/** Endings under which most hosts of the web are; two letters are a country's. */
const usualEndings = /\.(?:com|net|org|edu|gov|int|info|eu|example|test|local|[a-z]{2})$/i;
const wordsThatAreEndings = /\.(?:it|is|in|so|to|me|my|us|be|at|as|am|no|do|by|or|an|if)$/i;

function evidenceOfHost(host: string, link: string, isListed: IsListedHost): FoundAddress['evidence'] {
  if (link.length > host.length || /^www\./i.test(host) || isListed(host.toLowerCase())) return 'path';
  const ending = host.slice(host.lastIndexOf('.') + 1);
  // "ASP.NET", "low.Go": an ending in capitals behind other letters is seldom typed in an address.
  const capitals = ending !== ending.toLowerCase();
  return capitals || fileEndings.test(host) || wordsThatAreEndings.test(host) || !usualEndings.test(host)
    ? 'weak-host'
    : 'host';
}

function hostAlone(text: string, start: number, host: string, isListed: IsListedHost): AddressBody {
  const end =
    start +
    host.length +
    (/^[.,;:!?…]+/.exec(text.slice(start + host.length, start + host.length + 9))?.[0].length ?? 0);
  const body = { kind: 'address', label: null, link: host, end, repairs: [], doubts: [], joined: null } as const;
  return { ...body, standing: standingOfHost(host, isListed) };
}
