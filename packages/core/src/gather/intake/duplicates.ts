/**
 * Points out links that are there already. Addresses count as the same when a browser would ask for the
 * same thing: case of scheme and host, the default port, an empty path and the fragment make no difference.
 */
import type { IntakeItem, IntakeLink } from '../paste/intake-item.js';
import { parseUrl } from '../../platform/web-address.js';

/** Where the same link is already. */
export type DuplicateMark = 'in-this-list' | 'already-here' | null;

/** The form under which two addresses are compared. */
export function comparableAddress(link: string): string {
  const url = parseUrl(link);
  if (!url) return link;
  url.hash = '';
  return url.href;
}

/** Kept beside the items: long lists are marked again with every decision. */
const comparable = new WeakMap<IntakeItem, string>();

/** Works out what a link is compared by, once. Whoever reads a long list in slices calls it with each, so that the whole is marked at once later. */
export function prepareForDuplicates(item: IntakeLink): string {
  const address = comparable.get(item) ?? comparableAddress(item.link);
  comparable.set(item, address);
  return address;
}

/**
 * One mark for each item, in the same order. The first of a pair inside the list has none.
 * @param here links that the lesson or shelf holds already
 */
export function markDuplicates(items: readonly IntakeItem[], here: readonly string[]): readonly DuplicateMark[] {
  const known = new Set(here.map(comparableAddress));
  const seen = new Set<string>();
  return items.map((item) => {
    if (item.kind !== 'link') return null;
    const address = prepareForDuplicates(item);
    if (known.has(address)) return 'already-here';
    if (seen.has(address)) return 'in-this-list';
    seen.add(address);
    return null;
  });
}
