/** Tells whether a page is clearly another one than before, without keeping what it said. */
import type { Evidence, PageFacts } from './evidence.js';

/** What a person looked at when they said that it opens. */
export interface PageFingerprint {
  readonly title: string;
  /** SimHash of the visible text, 16 hexadecimal digits; null where there was none. */
  readonly text: string | null;
  /** Kinds of the visible fields, form by form. */
  readonly forms: string;
  /** Seen in a browser: it finds other text than the page's source has. */
  readonly drawn?: true;
}

/** Null where nothing came that could be compared. */
export function fingerprintOf({ final, drawn }: Evidence): PageFingerprint | null {
  if (!final) return null;
  if (!final.page) return { title: final.contentType, text: null, forms: '' };
  const { title, textHash, forms } = final.page;
  return {
    title,
    text: textHash ?? null,
    forms: forms.map(fieldsOf).join('; '),
    ...(drawn && { drawn: true as const }),
  };
}

function fieldsOf({ fields }: PageFacts['forms'][number]): string {
  return fields.join(' ');
}

/** So many of 64 bits differ where little was changed; texts that have nothing in common differ in about 32. */
const sameText = 10;
/** Under the same title more may have changed: a count, a date, today's news beside it. */
const sameTextUnderTitle = 18;

/** Whether what is there now is clearly something else. Null where that can't be told. */
export function isOtherPage(before: PageFingerprint | null, now: PageFingerprint | null): boolean | null {
  if (!before || !now || before.drawn !== now.drawn) return null;
  if (before.forms !== now.forms) return true;
  if (before.text === null || now.text === null) return before.title !== now.title || before.text !== now.text;
  return differingBits(before.text, now.text) > (before.title === now.title ? sameTextUnderTitle : sameText);
}

const shingle = 4;
const bits = 64;

/**
 * SimHash (Charikar 2002) over all runs of four letters, for any writing: similar texts have similar hashes. White space
 * counts once, capitals and digits don't count. @returns 16 hexadecimal digits
 */
export function simHash(text: string): string {
  const letters = [...text.normalize('NFKC').toLowerCase().replace(/\d+/g, '0').replace(/\s+/g, ' ').trim()];
  const votes = new Int32Array(bits);
  for (let at = 0; at < Math.max(1, letters.length - shingle + 1); at += 1) {
    const run = letters.slice(at, at + shingle).join('');
    count(votes, 0, fnv1a(run, 0x811c9dc5));
    count(votes, bits / 2, fnv1a(run, 0x01000193));
  }
  return hexOf(votes);
}

function count(votes: Int32Array, from: number, hash: number): void {
  for (let bit = 0; bit < bits / 2; bit += 1)
    votes[from + bit] = (votes[from + bit] ?? 0) + ((hash >>> bit) & 1 ? 1 : -1);
}

/** FNV-1a, 32 bits, with its bits mixed once more so that each depends on all letters (MurmurHash3's finaliser). */
function fnv1a(text: string, basis: number): number {
  let hash = basis;
  for (let at = 0; at < text.length; at += 1) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193);
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b);
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35);
  return (hash ^ (hash >>> 16)) >>> 0;
}

function hexOf(votes: Int32Array): string {
  let hex = '';
  for (let digit = 0; digit < bits / 4; digit += 1) {
    let value = 0;
    for (let bit = 0; bit < 4; bit += 1) if ((votes[digit * 4 + bit] ?? 0) > 0) value |= 1 << bit;
    hex += value.toString(16);
  }
  return hex;
}

function differingBits(one: string, other: string): number {
  let differing = 0;
  for (let digit = 0; digit < bits / 4; digit += 1) {
    let xor = parseInt(one[digit] ?? '0', 16) ^ parseInt(other[digit] ?? '0', 16);
    for (; xor > 0; xor >>= 1) differing += xor & 1;
  }
  return differing;
}
