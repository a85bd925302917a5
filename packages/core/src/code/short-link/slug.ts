/**
 * Slugs of the school's own short links: 8 or 9 characters out of 23, the last of them a check character, so that a slip
 * of the finger is recognised before anybody is sent anywhere. Their length keeps them secret: 23^7 is 3.4 billion. Those
 * of 5 to 7 characters were made by earlier versions and are still read.
 *
 * The alphabet holds no two characters that look alike in print, no vowels that would make words, and only characters
 * of alphanumeric mode (ISO/IEC 18004, table 5). Its size is a prime, so that a weighted sum modulo 23 finds every single
 * wrong character and every two that changed places (the principle of ISO/IEC 7064's pure systems).
 */
import { chooseSize } from '../symbol/plan.js';
import { checkOf, slugAlphabet, valuesOf, weightedSum } from './check-character.js';

export { slugAlphabet };
/** Of those that are read. */
export const slugLengths = { least: 5, most: 9 } as const;
/** Of those that are made. */
export const newSlugLengths = { least: 8, most: 9 } as const;

const size = slugAlphabet.length;
/** Read as the character that they look like; what looks like none of the alphabet stays what it is. */
const lookAlikes: Readonly<Record<string, string>> = { Z: '2' };

/** How many slugs there are of a length. */
export function slugsOfLength(length: number): number {
  return size ** (length - 1);
}

/** Whether it is short enough to be found by trying all of its length. */
export function isShortForm(slug: string): boolean {
  return slug.length < newSlugLengths.least;
}

/** The length of a new slug: one character more than needed where that makes the code no finer. @param base what comes before it in the code */
export function newSlugLength(base: string): number {
  const [shorter, longer] = [newSlugLengths.least, newSlugLengths.most].map((length) =>
    chooseSize(base + 'K'.repeat(length)),
  );
  return shorter?.ok && longer?.ok && shorter.value.version === longer.value.version
    ? newSlugLengths.most
    : newSlugLengths.least;
}

/**
 * A slug out of random numbers.
 * @param numbers one for each character but the last, whole and at least 0, evenly spread
 * @returns null where it would say something that no school wants on its wall: take other numbers
 */
export function slugOf(numbers: readonly number[]): string | null {
  if (numbers.length < slugLengths.least - 1 || numbers.length > slugLengths.most - 1)
    throw new RangeError(
      `a slug needs ${slugLengths.least - 1} to ${slugLengths.most - 1} numbers, got ${numbers.length}`,
    );
  const body = numbers.map((number) => number % size);
  const slug = [...body, checkOf(body)].map((value) => slugAlphabet[value]).join('');
  return isUnwanted(slug) ? null : slug;
}

/** Upper case, without blanks and hyphens that group it, look-alikes fixed. */
export function normalSlug(typed: string): string {
  return [...typed.toUpperCase().replace(/[\s\-\u2010-\u2015.]/g, '')]
    .map((character) => lookAlikes[character] ?? character)
    .join('');
}

/** A slug in its normal form, with the right check character. */
export function isSlug(text: string): boolean {
  const values = valuesOf(text);
  return (
    values !== null && text.length >= slugLengths.least && text.length <= slugLengths.most && weightedSum(values) === 0
  );
}

/** In letters on paper, in groups that the eye holds: "CD3 F7K MN", "CD3 F7K MN4". */
export function groupedSlug(slug: string): string {
  return slug.replace(/(.{3})(?=.)/g, '$1 ');
}

/**
 * Slugs that differ from a wrong one by one character or by two neighbours that changed places. Which of them exist is
 * not said here. Empty where the text is right, or has characters or a length that no slug has.
 */
export function slipsOf(text: string): readonly string[] {
  const values = valuesOf(text, true);
  if (values === null || text.length < slugLengths.least || text.length > slugLengths.most || isSlug(text)) return [];
  const unknown = values.filter((value) => value < 0).length;
  if (unknown > 1) return [];
  const slips = new Set<string>();
  values.forEach((value, at) => {
    // Where one character is none of the alphabet, that is the wrong one.
    if (unknown === 1 && value >= 0) return;
    for (let other = 0; other < size; other += 1) {
      const changed = values.with(at, other);
      if (weightedSum(changed) === 0) slips.add(written(changed));
    }
  });
  if (unknown === 0) {
    for (let at = 0; at + 1 < values.length; at += 1) {
      const swapped = values.with(at, values[at + 1] ?? 0).with(at + 1, values[at] ?? 0);
      if (weightedSum(swapped) === 0) slips.add(written(swapped));
    }
  }
  slips.delete(text);
  return [...slips];
}

function written(values: readonly number[]): string {
  return values.map((value) => slugAlphabet[value]).join('');
}

/** Digits and letters as they are read when somebody looks for a word. */
const readAs: Readonly<Record<string, string>> = { '3': 'E', '4': 'A', '6': 'G', '7': 'T', '9': 'G', '2': 'Z', V: 'U' };
const unwanted =
  /FUCK|FCK|FUK|CUNT|CNT|NGR|NEGR|FAG|FGT|GAY|WTF|KKK|DCK|PNC?S|TWAT|TWT|PRN|RAPE|HATE|DEAD|NAZ|HH|JUD|TT[ZT]|CRAP|DRUG|X{3}|WANK|WNK|TURD|PUTA|HURE|MERD|KRK|CACA|KACK/;

function isUnwanted(slug: string): boolean {
  return (
    unwanted.test(slug) ||
    unwanted.test([...slug].map((character) => readAs[character] ?? character).join('')) ||
    /69|666|G?88/.test(slug)
  );
}
