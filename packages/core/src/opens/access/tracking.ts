/**
 * Parameters that only count visitors. Their names are data: general ones here, a service's own in its description.
 * A name alone proves nothing: whether the link without them leads to the same page is found out by opening both.
 */
import type { Evidence, FinalPage } from './evidence.js';
import type { ServiceCatalogue } from '../../gather/service-description/catalogue.js';
import { serviceAt } from '../../gather/service-description/match.js';
import { parseUrl } from '../../platform/web-address.js';

/** `*` stands for any beginning or ending. */
export const generalTracking: readonly string[] = [
  'utm_*',
  'mtm_*',
  'pk_*',
  '*clid',
  '*clkid',
  'campaign',
  'campaign_id',
  'mailing_id',
  'newsletter_id',
  'ref_src',
  'referrer',
  'share_source',
  'shared_by',
];

/** A link without what only counts visitors, and the names of what was left out. */
export interface TrimmedLink {
  readonly link: string;
  /** Names of what was left out, as they stood there. */
  readonly removed: readonly string[];
}

/** The link without parameters that are known to count only; null when there are none. What stays is not touched. */
export function trimLink(link: string, catalogue: ServiceCatalogue): TrimmedLink | null {
  const url = parseUrl(link);
  const query = /^([^#?]*)\?([^#]*)/.exec(link);
  if (!url || !query) return null;
  const names = [...generalTracking, ...(serviceAt(url.hostname, catalogue)?.description.tracking ?? [])];
  const removed: string[] = [];
  const kept = (query[2] ?? '').split('&').filter((pair) => {
    const name = nameOf(pair);
    const counts = names.some((pattern) => nameMatches(pattern, name));
    if (counts) removed.push(name);
    return !counts;
  });
  if (removed.length === 0) return null;
  const rest = kept.filter((pair) => pair !== '').join('&');
  return { link: (query[1] ?? '') + (rest === '' ? '' : `?${rest}`) + link.slice(query[0].length), removed };
}

/** Did both openings end at the same page? Only where both were answered alike, at addresses that differ in those names at most. */
export function samePage(first: Evidence, second: Evidence, catalogue: ServiceCatalogue): boolean {
  const [a, b] = [first.final, second.final];
  if (!a || !b || first.ending !== 'answered' || second.ending !== 'answered') return false;
  return (
    a.status === b.status &&
    a.contentType === b.contentType &&
    bare(a.address, catalogue) === bare(b.address, catalogue) &&
    sameContent(a, b)
  );
}

function bare(address: string, catalogue: ServiceCatalogue): string {
  const trimmed = trimLink(address, catalogue)?.link ?? address;
  return trimmed.replace(/#.*$/, '');
}

/** Files by their size; pages by what a person would see first, since figures on them may change with every visit. */
function sameContent(a: FinalPage, b: FinalPage): boolean {
  if (!a.page || !b.page) return a.page === b.page && a.sizeBytes === b.sizeBytes;
  const longer = Math.max(a.page.visibleCharacters, b.page.visibleCharacters);
  return (
    a.page.title === b.page.title &&
    a.page.forms.length === b.page.forms.length &&
    Math.abs(a.page.visibleCharacters - b.page.visibleCharacters) <= longer / 10
  );
}

function nameOf(pair: string): string {
  const raw = pair.split('=')[0] ?? '';
  try {
    return decodeURIComponent(raw);
  } catch {
    return raw;
  }
}

function nameMatches(pattern: string, name: string): boolean {
  const [wanted, given] = [pattern.toLowerCase(), name.toLowerCase()];
  if (wanted.endsWith('*')) return given.startsWith(wanted.slice(0, -1));
  if (wanted.startsWith('*')) return given.endsWith(wanted.slice(1));
  return wanted === given;
}
