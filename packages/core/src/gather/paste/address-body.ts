/** An address behind its scheme: how far it goes, what was corrected in it, and whether its host can be one. */
import { parseUrl } from '../../platform/web-address.js';
import type { IsListedHost } from '../service-description/listed-hosts.js';
import { trimEnd } from './address-end.js';
import { matchAt } from './match-at.js';
import { repair, type Repair } from './repairs.js';
import { schemeAt } from './scheme.js';
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

/** An address without what it begins with. */
export type AddressBody = Pick<
  FoundAddress,
  'kind' | 'label' | 'link' | 'end' | 'repairs' | 'standing' | 'doubts' | 'joined'
>;

// Up to what no address holds: blanks, quotation marks, angle and East Asian brackets and stops.
/** The longest run that can belong to an address. */
export const run = /[^\s<>"“”„«»‹›「」『』【】（）。，、；|]*/uy;
const hostPart = /^(?:[^/?#@\\]*@)?(\[[^\]]*\]|[^/?#:@\\]*)(?::\d{1,5})?(?=[/?#\\]|$)/;

/** Where an address is read. */
export interface Place {
  readonly text: string;
  readonly isListed: IsListedHost;
  /** Where the whole address begins, scheme and all. */
  readonly before: number;
}

/** What is behind the scheme: the longest run that can belong to it, joined over a blank where only so it has a host. */
export function bodyAt(place: Place, start: number): AddressBody {
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
function joinedBehind(place: Place, start: number, body: AddressBody): FoundAddress['joined'] {
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

function finish({ text, isListed, before }: Place, raw: string, end: number): AddressBody {
  const repairs: Repair[] = [];
  const doubts: AddressDoubt[] = [];
  let link = plainAddress(raw, repairs);
  const trimmed = trimEnd(link, text.slice(Math.max(0, before - 12), before), /^\s+\S/.test(text.slice(end, end + 9)));
  link = trimmed.link;
  repairs.push(...trimmed.repairs);
  if (trimmed.isCut || link.includes('…')) doubts.push('cut-off');
  if (raw !== '' && /^https?:\/\/[\p{L}\p{N}[]/iu.test(text.slice(end, end + 9))) doubts.push('run-together');
  const repaired = withDotsInHost(link, isListed);
  if (repaired !== null) {
    repairs.push(repair('dot-repaired', ',', '.'));
    doubts.push('comma-in-host');
    link = repaired;
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
export function standingOf(link: string, isListed: IsListedHost): HostStanding {
  const host = hostPart.exec(link)?.[1];
  return host === undefined || host === '' || !parseUrl(`https://${link}`)
    ? 'impossible'
    : standingOfHost(host, isListed);
}

function withDotsInHost(link: string, isListed: IsListedHost): string | null {
  const host = hostPart.exec(link)?.[1] ?? '';
  if (!host.includes(',')) return null;
  const repaired = link.replace(host, host.replaceAll(',', '.'));
  return standingOf(repaired, isListed) === 'known' ? repaired : null;
}
