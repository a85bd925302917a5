// Draws the same mutants for the same seed, whatever order they come in.
import { createHash } from 'node:crypto';

/** Where in the order of all mutants of a seed one stands: the smallest are drawn. */
export function lot(seed, { fileName, location: { start, end }, mutatorName, replacement }) {
  const what = [seed, fileName, start.line, start.column, end.line, end.column, mutatorName, replacement];
  return createHash('sha256').update(JSON.stringify(what)).digest('hex');
}

/** @returns those with the smallest lots, in their order */
export function draw(mutants, seed, count) {
  return mutants
    .map((mutant) => ({ mutant, order: lot(seed, mutant) }))
    .sort((one, other) => (one.order < other.order ? -1 : 1))
    .slice(0, count)
    .map(({ mutant }) => mutant);
}

/** What is known of mutants that the tests may ignore: the same change of the same words in the same file. */
export function isAccepted(accepted, { file, was, replacement }) {
  return accepted.some((one) => one.file === file && one.was === was && one.becomes === replacement);
}

/** Noticed by a test, of all that count. @returns 0 to 1 */
export function score(results) {
  const counted = results.filter(({ status }) => status !== 'accepted');
  return counted.filter(({ status }) => status === 'noticed').length / Math.max(1, counted.length);
}
