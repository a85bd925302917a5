/** Finds what can be opened, written to or called in a pasted text, and leaves the rest as text between. */
import { bareAddressAt, commaAddressAt, encodedAddressAt, schemedAddressAt, spacedAddressAt } from './address.js';
import type { FoundAddress } from './address-body.js';
import { contactAt, phoneAt, type FoundContact } from './contact.js';
import { markedAt } from './markup.js';
import { refusedAt, type FoundRefused } from './refused.js';
import { repair } from './repairs.js';
import type { IsListedHost } from '../service-description/listed-hosts.js';

/** Something in a text that is more than words. */
export type Found = FoundAddress | FoundContact | FoundRefused;

/** A text as what was found in it and what is between: one gap more than there are things. */
export interface Scanned {
  readonly found: readonly Found[];
  readonly gaps: readonly string[];
}

/** Text without any of these holds nothing but words. */
const anySign = /[:/\\@]|%3a|\.\p{L}|,\p{L}|\d[\d\s().\-/]{5}/iu;

/** Reads from left to right; what is found first takes its characters. */
export function scan(text: string, isListed: IsListedHost): Scanned {
  if (!anySign.test(text)) return { found: [], gaps: [text] };
  const found: Found[] = [];
  for (let at = 0; at < text.length; at += 1) {
    const next = isBoundary(text, at, found) ? foundAt(text, at, isListed) : null;
    if (!next) continue;
    found.push(next);
    at = next.end - 1;
  }
  return withGaps(text, found.some(({ kind }) => kind !== 'contact') ? found.filter(isNoPhone) : found);
}

/** Beside an address a number is part of the label: "Tables 2026 555 0100: https://…". */
function isNoPhone(thing: Found): boolean {
  return thing.kind !== 'contact' || thing.content.kind === 'e-mail';
}

/** What was found, with the text between. */
export function withGaps(text: string, found: readonly Found[]): Scanned {
  const edges = [0, ...found.flatMap(({ start, end }) => [start, end]), text.length];
  const gaps = Array.from({ length: found.length + 1 }, (_, index) =>
    text.slice(edges[index * 2], edges[index * 2 + 1]),
  );
  return { found, gaps };
}

/** Nothing begins in the middle of a word, but right behind another address or behind a script without blanks. */
function isBoundary(text: string, at: number, found: readonly Found[]): boolean {
  if (/\s/.test(text[at] ?? '')) return false;
  // Emphasis around an address, "_https://…_", is no part of a word.
  const before =
    text
      .slice(Math.max(0, at - 4), at)
      .replace(/(?<![\p{L}\p{N}])_+$/u, '')
      .at(-1) ?? ' ';
  return found.at(-1)?.end === at || !/[\p{Script=Latin}\p{Script=Greek}\p{Script=Cyrillic}\p{N}@_\\/.-]/u.test(before);
}

function foundAt(text: string, at: number, isListed: IsListedHost): Found | null {
  return (
    inMarkup(text, at, isListed) ??
    refusedAt(text, at) ??
    encodedAddressAt(text, at, isListed) ??
    schemedAddressAt(text, at, isListed) ??
    contactAt(text, at, isListed) ??
    phoneAt(text, at) ??
    spacedAddressAt(text, at, isListed) ??
    bareAddressAt(text, at, isListed) ??
    commaAddressAt(text, at, isListed)
  );
}

function inMarkup(text: string, at: number, isListed: IsListedHost): Found | null {
  const marked = /[<![]/.test(text[at] ?? '') ? markedAt(text, at) : null;
  if (!marked) return null;
  const inside = [schemedAddressAt, contactAt, bareAddressAt]
    .map((read) => read(marked.address, 0, isListed))
    .find((thing) => thing !== null && thing.end === marked.address.length);
  if (!inside) return null;
  const { start, end } = marked;
  const label = marked.label === marked.address ? null : marked.label;
  if (inside.kind === 'contact') return { ...inside, start, end, label };
  const what =
    text.startsWith('<', at) && label === null ? repair('bracket-removed', '<>') : repair('markup-removed', '');
  return { ...inside, start, end, label, repairs: [what, ...inside.repairs], joined: null };
}
