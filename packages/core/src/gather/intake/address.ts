/** One web address in a pasted text: where it ends, what was corrected, and whether its host can be one. */
import { isLoopbackHost, parseUrl } from '../../platform/web-address.js';
import { matchAt } from './match-at.js';
import { repair, type Repair } from './repairs.js';
import { schemeAt } from './scheme.js';
import type { IsListedHost } from '../service-description/listed-hosts.js';
import { standingOfHost, type HostStanding } from './web-host.js';

/** An address as it was found. */
export interface FoundAddress {
  readonly kind: 'address';
  readonly start: number;
  readonly end: number;
  /** As it will be in the code. */
  readonly link: string;
  readonly repairs: readonly Repair[];
  readonly standing: HostStanding;
  /** What says that it is an address: its scheme, a path or `www.`, a host alone. */
  readonly evidence: 'scheme' | 'guess' | 'path' | 'host' | 'weak-host';
  readonly doubts: readonly AddressDoubt[];
  /** What stood with it in the same markup: `[label](link)`; null for none. */
  readonly label: string | null;
  /** The same going on behind a blank, where that may be meant. */
  readonly joined: Pick<FoundAddress, 'link' | 'repairs' | 'end' | 'doubts'> | null;
}

/** What a teacher is asked about, though it could be read. */
export const addressDoubts = ['cut-off', 'comma-in-host', 'run-together', 'unknown-host', 'name-before-host'] as const;
/** One of them. */
export type AddressDoubt = (typeof addressDoubts)[number];

// Up to what no address holds: blanks, quotation marks, angle and East Asian brackets and stops.
const run = /[^\s<>"“”„«»‹›「」『』【】（）。，、；|]*/uy;
const bareHost =
  /(?:[\p{L}\p{N}](?:[\p{L}\p{M}\p{N}-]*[\p{L}\p{M}\p{N}])?\.)+(?:[\p{L}\p{M}]{2,24}|xn--[a-z0-9-]+)(?![\p{L}\p{M}\p{N}@]|-[\p{L}\p{N}]|\.[\p{L}\p{N}])/uy;
const localHost = /(?:localhost|\d{1,3}(?:\.\d{1,3}){3})(?=[:/])/iy;
const hostPart = /^(?:[^/?#@\\]*@)?(\[[^\]]*\]|[^/?#:@\\]*)(?::\d{1,5})?(?=[/?#\\]|$)/;

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
    ...(certainty === 'exact' ? [] : [mending(typed, scheme)]),
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

function mending(typed: string, scheme: string): Repair {
  const isBlank = typed.replaceAll(' ', '').toLowerCase() === scheme;
  return isBlank ? repair('blank-removed', ' ') : repair('scheme-mended', typed, scheme);
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

type Body = Pick<FoundAddress, 'kind' | 'label' | 'link' | 'end' | 'repairs' | 'standing' | 'doubts' | 'joined'>;

function hostAlone(text: string, start: number, host: string, isListed: IsListedHost): Body {
  const end =
    start +
    host.length +
    (/^[.,;:!?…]+/.exec(text.slice(start + host.length, start + host.length + 9))?.[0].length ?? 0);
  const body = { kind: 'address', label: null, link: host, end, repairs: [], doubts: [], joined: null } as const;
  return { ...body, standing: standingOfHost(host, isListed) };
}

/** Where an address is read. */
interface Place {
  readonly text: string;
  readonly isListed: IsListedHost;
  /** Where the whole address begins, scheme and all. */
  readonly before: number;
}

/** What is behind the scheme: the longest run that can belong to it, joined over a blank where only so it has a host. */
function bodyAt(place: Place, start: number): Body {
  const { text } = place;
  const first = chunkAt(text, start);
  let body = finish(place, first.text, first.end);
  let { text: raw, end } = first;
  for (let tries = 0; tries < 4 && body.standing !== 'known'; tries += 1) {
    const gap = /^\s+/.exec(text.slice(end, end + 20))?.[0];
    if (gap === undefined) break;
    const next = chunkAt(text, end + gap.length);
    if (next.text === '' || !(/[.:/]$/.test(raw) || /^[.:/]/.test(next.text))) break;
    raw += next.text;
    end = next.end;
    const longer = finish(place, raw, end);
    if (longer.standing === 'known') body = { ...longer, repairs: [joining(gap), ...longer.repairs] };
  }
  return { ...body, joined: joinedBehind(place, start, body) };
}

/** The address going on behind a blank or a line break, where its signs say that it may. */
function joinedBehind(place: Place, start: number, body: Body): FoundAddress['joined'] {
  const { text } = place;
  const gap = /^\s+/.exec(text.slice(body.end, body.end + 20))?.[0];
  const raw = text.slice(start, body.end);
  if (body.standing !== 'known' || gap === undefined) return null;
  const next = chunkAt(text, body.end + gap.length);
  const goesOn = /[/?&=#%_+-]$/.test(raw) || /^[/?&=#%_]/.test(next.text);
  if (!goesOn || next.text === '' || schemeAt(next.text, 0)) return null;
  const longer = finish(place, raw.replace(/\s+/gu, '') + next.text, next.end);
  if (longer.standing !== 'known') return null;
  const further = joinedBehind(place, start, { ...longer, repairs: [] });
  if (further && gap.includes('\n')) return { ...further, repairs: [joining(gap), ...further.repairs] };
  return { link: longer.link, end: longer.end, doubts: longer.doubts, repairs: [joining(gap), ...longer.repairs] };
}

function joining(gap: string): Repair {
  return gap.includes('\n') ? repair('line-break-joined', '\n') : repair('blank-removed', gap);
}

function chunkAt(text: string, start: number): { readonly text: string; readonly end: number } {
  const whole = matchAt(run, text, start)?.[0] ?? '';
  // Two run together: a second scheme where no address has one.
  const second = /(?<=[\p{L}\p{N},;.)])https?:\/\/(?=[\p{L}\p{N}[])/iu.exec(whole.slice(1));
  const taken = second ? whole.slice(0, second.index + 1) : whole;
  return { text: taken, end: start + taken.length };
}

function finish({ text, isListed, before }: Place, raw: string, end: number): Body {
  const repairs: Repair[] = [];
  const doubts: AddressDoubt[] = [];
  let link = plainAddress(raw, repairs);
  const trimmed = trimEnd(link, text.slice(Math.max(0, before - 12), before), /^\s+\S/.test(text.slice(end, end + 9)));
  link = trimmed.link;
  repairs.push(...trimmed.repairs);
  if (trimmed.isCut || link.includes('…')) doubts.push('cut-off');
  if (raw !== '' && /^https?:\/\/[\p{L}\p{N}[]/iu.test(text.slice(end, end + 9))) doubts.push('run-together');
  const mended = withDotsInHost(link, isListed);
  if (mended !== null) {
    repairs.push(repair('dot-mended', ',', '.'));
    doubts.push('comma-in-host');
    link = mended;
  }
  // "https://exa mple": a blank in the host.
  const isTorn = /^[^./:?#]+$/.test(link) && /^\s+\p{L}/u.test(text.slice(end, end + 9));
  const standing = isTorn && standingOf(link, isListed) === 'unlisted' ? 'impossible' : standingOf(link, isListed);
  if (standing === 'unlisted') doubts.push('unknown-host');
  if (/^[^/?#]*@/.test(link)) doubts.push('name-before-host');
  return { kind: 'address', label: null, link, end, repairs, standing, doubts, joined: null };
}

/** Without blanks, entities and backslashes; adds to the repairs what was none of the address. */
function plainAddress(raw: string, repairs: Repair[]): string {
  const joined = raw.replace(/\s+/gu, '');
  const decoded = joined.replace(/&(?:amp|#38|#x26);/gi, '&');
  if (decoded !== joined) repairs.push(repair('entity-decoded', '&amp;', '&'));
  if (decoded.includes('\\')) repairs.push(repair('slash-turned', '\\', '/'));
  return decoded.replaceAll('\\', '/');
}

/** The standing of the host of an address without its scheme. */
function standingOf(link: string, isListed: IsListedHost): HostStanding {
  const host = hostPart.exec(link)?.[1];
  return host === undefined || host === '' || !parseUrl(`https://${link}`)
    ? 'impossible'
    : standingOfHost(host, isListed);
}

function withDotsInHost(link: string, isListed: IsListedHost): string | null {
  const host = hostPart.exec(link)?.[1] ?? '';
  if (!host.includes(',')) return null;
  const mended = link.replace(host, host.replaceAll(',', '.'));
  return standingOf(mended, isListed) === 'known' ? mended : null;
}

interface Trimmed {
  readonly link: string;
  readonly repairs: readonly Repair[];
  readonly isCut: boolean;
}

/** Takes off what stands behind an address and is none of it. @param before what stands in front of it */
function trimEnd(given: string, before: string, textFollows: boolean): Trimmed {
  const repairs: Repair[] = [];
  let link = given;
  let isCut = false;
  for (let taken = endingOf(link, before, textFollows); taken; taken = endingOf(link, before, textFollows)) {
    link = link.slice(0, -taken.removed.length);
    isCut ||= /…|\.{3}/.test(taken.removed);
    repairs.push(taken);
  }
  return { link, repairs, isCut };
}

const openers: Readonly<Record<string, string>> = { ')': '(', ']': '[', '}': '{' };

/** The last characters, where they are none of the address: punctuation, a lone bracket or quotation mark, emphasis. */
function endingOf(link: string, before: string, textFollows: boolean): Repair | null {
  const marks = (textFollows ? /[.,;:!?…]+$/u : /[.,;:!…]+$/u).exec(link)?.[0];
  if (marks !== undefined && marks.length < link.length) return repair('trailing-punctuation', marks);
  const last = link.at(-1) ?? '';
  const opener = openers[last];
  if (opener !== undefined && !isClosedInside(link.slice(0, -1), opener, last)) return repair('bracket-removed', last);
  if (/['‘’`]/.test(last)) return repair('quote-removed', last);
  const emphasis = /(?:\*+|~+|_+)$/.exec(link)?.[0];
  return emphasis !== undefined && before.trimEnd().endsWith(emphasis) ? repair('markup-removed', emphasis) : null;
}

/** True where an opener is still waiting for the closer behind: "/a_(b" before ")". */
function isClosedInside(inner: string, open: string, close: string): boolean {
  let waiting = 0;
  for (const character of inner) {
    if (character === open) waiting += 1;
    else if (character === close && waiting > 0) waiting -= 1;
  }
  return waiting > 0;
}
