/**
 * The start of a pasted address: `https://`, what people and programs make of it (`htps://`, `https ://`, `https//`,
 * `http:\\`, `https：//`), and the same twice. Letters that are more than one slip away from the scheme are doubtful.
 */
import { distance } from 'fastest-levenshtein';
import { matchAt } from './match-at.js';

/** How an address begins. */
export interface SchemeStart {
  /** Characters that it takes. */
  readonly length: number;
  /** What stands for it in the link: as it was typed where that is right. */
  readonly scheme: string;
  /** `exact` as it must be, `slip` one slip away, `guess` more than that. */
  readonly certainty: 'exact' | 'slip' | 'guess';
  /** Earlier schemes that were in front of this one, '' for none. */
  readonly doubled: string;
  /** What was typed for it, where that was corrected; '' otherwise. */
  readonly typed: string;
}

const exact = /https?:\/\/(?![/\\\s])/iy;
// A word, a colon or what was hit instead, slashes of any kind; blanks may have crept in between.
const near =
  /([a-z](?: ?[a-z]){1,8}) ?([:;\uff1a.,]{0,2}) ?((?:[/\\\uff0f] ?|:(?=[/\\\uff0f]|[\p{L}\p{N}])){1,5})(?=[^\s/\\])/iuy;
const withoutSlashes = /(https?):(?=[^\s/\\:]+\.|https?:)/iy;
const withoutLetters = /(?<!:)(?::|)\/\/(?=[\p{L}\p{N}])/uy;

/** The scheme at this place, with any that were doubled before it; null for none. */
export function schemeAt(text: string, start: number): SchemeStart | null {
  const first = nextScheme(text, start);
  if (!first) return null;
  let found = first.found;
  let length = first.before + found.length;
  let doubled = text.slice(start, start + first.before);
  for (let next = nextScheme(text, start + length); next && beginsWithLetters(text, start + length);) {
    doubled += text.slice(start + length - found.length, start + length + next.before);
    length += next.before + next.found.length;
    found = next.found;
    next = nextScheme(text, start + length);
  }
  return { ...found, length, doubled };
}

/** "https:////a" is one scheme with slashes too many, not two. */
function beginsWithLetters(text: string, at: number): boolean {
  return /[a-z]/i.test(text[at] ?? '');
}

type OneScheme = Omit<SchemeStart, 'doubled'>;

/** A scheme, perhaps behind a `www.` that belongs to none: "www.https://". */
function nextScheme(text: string, at: number): { readonly before: number; readonly found: OneScheme } | null {
  const found = oneSchemeAt(text, at);
  if (found) return { before: 0, found };
  const behind =
    /^www\.$/i.test(text.slice(at, at + 4)) && beginsWithLetters(text, at + 4) ? oneSchemeAt(text, at + 4) : null;
  return behind && { before: 4, found: behind };
}

function oneSchemeAt(text: string, start: number): OneScheme | null {
  const right = matchAt(exact, text, start)?.[0];
  if (right !== undefined) return { length: right.length, scheme: right, certainty: 'exact', typed: '' };
  return nearScheme(text, start) ?? halfScheme(text, start);
}

function nearScheme(text: string, start: number): OneScheme | null {
  const found = matchAt(near, text, start);
  if (!found) return null;
  const [typed, letters = '', colon = '', slashes = ''] = found;
  const meant = meantScheme(letters, colon, slashes);
  return meant && { ...meant, length: typed.length, typed };
}

/** `https:` without slashes, or slashes without letters. */
function halfScheme(text: string, start: number): OneScheme | null {
  const letters = matchAt(withoutSlashes, text, start);
  const typed = (letters ?? matchAt(withoutLetters, text, start))?.[0];
  if (typed === undefined) return null;
  return { length: typed.length, scheme: schemeOf(letters?.[1] ?? 'https'), certainty: 'slip', typed };
}

/** What the letters before colon and slashes stand for; null for other words: "and/or", "Q: //". */
function meantScheme(letters: string, colon: string, slashes: string): Pick<OneScheme, 'scheme' | 'certainty'> | null {
  const parts = letters.toLowerCase().split(' ');
  const last = parts.at(-1) ?? '';
  // "see https//…": the scheme begins at a later word.
  const word = parts.join('');
  if (parts.length > 1 && slipsAway(last) <= Math.min(1, slipsAway(word))) return null;
  const slips = slipsAway(word);
  const manySlashes = slashes.replace(/[ :]/g, '').length > 1;
  if (slips > 2 || (colon === '' && !manySlashes) || (slips > 0 && !manySlashes && colon !== ':')) return null;
  return { scheme: schemeOf(word), certainty: slips > 1 ? 'guess' : 'slip' };
}

function schemeOf(word: string): string {
  const [plain, secure] = [distance(word.toLowerCase(), 'http'), distance(word.toLowerCase(), 'https')];
  return secure < plain || (secure === plain && /s$/i.test(word)) ? 'https://' : 'http://';
}

/** Letters left out, put in or taken for another. */
function slipsAway(word: string): number {
  return Math.min(distance(word, 'http'), distance(word, 'https'));
}
