/**
 * How likely a text is what somebody wrote. In a wrong encoding, a name gets letters that no language has, or letters with
 * unusual neighbours. Each word is compared with the language that it fits best, since rosters mix languages.
 */
import { sampleWords } from './sample-words.js';

/** Kinds of neighbours of a letter. */
type Neighbour = 'edge' | 'vowel' | 'sonorant' | 'consonant' | 'special';
const neighbours: readonly Neighbour[] = ['edge', 'vowel', 'sonorant', 'consonant', 'special'];

interface Language {
  readonly letters: ReadonlyMap<string, number>;
  readonly count: number;
  readonly before: ReadonlyMap<string, number>;
  readonly after: ReadonlyMap<string, number>;
}

/** A sign inside a word, a control character, a capital behind a small letter. */
const wrong = -12;
const smoothing = 0.3;
/** As many letters as such a language may have beyond the plain ones. */
const alphabet = 60;

const languages: readonly Language[] = Object.values(sampleWords).map((words) => countLetters(words.split(' ')));

/**
 * Sum of the logarithms of the likelihoods of its letters beyond ASCII; 0 for plain text. Comparable for readings of the
 * same bytes alone.
 */
function textLikelihood(text: string): number {
  const counts = new Map<string, number>();
  // Signs too: one inside a word tells that it was read wrong.
  for (const [word] of text.matchAll(/[^\s,;:"()<>|/\\]+/gu))
    if (/[^\x20-\x7e]/u.test(word)) counts.set(word, (counts.get(word) ?? 0) + 1);
  return [...counts].reduce((sum, [word, count]) => sum + count * wordLikelihood(word), 0);
}

/** How much likelier a rarer encoding has to make a text. */
const advance = 2;

/** @param others readings of the same bytes @returns the likeliest; the usual one where others are hardly likelier */
export function likeliestReading<Reading extends { readonly text: string }>(
  usual: Reading,
  others: readonly Reading[],
): Reading {
  return others
    .map((reading) => ({ reading, likelihood: textLikelihood(reading.text) }))
    .reduce((best, one) => (one.likelihood > best.likelihood ? one : best), {
      reading: usual,
      likelihood: textLikelihood(usual.text) + advance,
    }).reading;
}

function wordLikelihood(word: string): number {
  const letters = [...word];
  let faults = 0;
  letters.forEach((letter, index) => {
    if (isSpecial(letter) && !/\p{L}|\p{M}|[’‘–—…°º№€]/u.test(letter)) faults += 1;
    const isLateCapital = isSpecial(letter) && /\p{Lu}/u.test(letter) && /\p{Ll}/u.test(letters[index - 1] ?? '');
    if (isLateCapital) faults += 1;
  });
  if (/\p{Script=Cyrillic}/u.test(word) && /\p{Script=Latin}/u.test(word)) faults += 1;
  const small = letters.map((letter) => letter.toLowerCase());
  return faults * wrong + Math.max(...languages.map((language) => likelihoodIn(language, small)));
}

function likelihoodIn({ letters, count, before, after }: Language, word: readonly string[]): number {
  let sum = 0;
  word.forEach((letter, index) => {
    // Of classes, "2ºA", not of names.
    if (!isSpecial(letter) || !/\p{L}/u.test(letter) || letter === 'º' || letter === 'ª') return;
    const seen = letters.get(letter) ?? 0;
    sum += Math.log((seen + smoothing / 10) / (count + (smoothing / 10) * alphabet));
    for (const [counts, beside] of [
      [before, word[index - 1]],
      [after, word[index + 1]],
    ] as const)
      sum += Math.log(
        ((counts.get(`${letter}${neighbourOf(beside)}`) ?? 0) + smoothing) / (seen + smoothing * neighbours.length),
      );
  });
  return sum;
}

function countLetters(words: readonly string[]): Language {
  const [letters, before, after] = [new Map<string, number>(), new Map<string, number>(), new Map<string, number>()];
  let count = 0;
  const add = (counts: Map<string, number>, key: string): void => void counts.set(key, (counts.get(key) ?? 0) + 1);
  for (const word of words) {
    const small = [...word.toLowerCase()];
    small.forEach((letter, index) => {
      if (!isSpecial(letter)) return;
      count += 1;
      add(letters, letter);
      add(before, `${letter}${neighbourOf(small[index - 1])}`);
      add(after, `${letter}${neighbourOf(small[index + 1])}`);
    });
  }
  return { letters, count, before, after };
}

function neighbourOf(letter: string | undefined): Neighbour {
  if (letter === undefined || !/\p{L}/u.test(letter)) return 'edge';
  if (isSpecial(letter)) return 'special';
  if (/[aeiouy]/.test(letter)) return 'vowel';
  return /[lmnrj]/.test(letter) ? 'sonorant' : 'consonant';
}

function isSpecial(letter: string): boolean {
  return letter > '\x7e';
}
