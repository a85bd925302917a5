/** The alphabet of what is typed or read from paper, and the character that finds slips in it (see slug.ts for the reasons). */
export const slugAlphabet = '234679CDFGHJKMNPQRTVWXY';
const size = slugAlphabet.length;

/** Null for a character that is none of the alphabet; -1 in its place where that is allowed. */
export function valuesOf(text: string, unknownAllowed = false): number[] | null {
  const values = [...text].map((character) => slugAlphabet.indexOf(character));
  return !unknownAllowed && values.includes(-1) ? null : values;
}

/** Weights count from the end, 1 for the check character: distinct up to 22 characters, and none divisible by 23. 0 where all is right. */
export function weightedSum(values: readonly number[]): number {
  return values.reduce((sum, value, index) => sum + value * (values.length - index), 0) % size;
}

/** The value that makes the sum 0. */
export function checkOf(body: readonly number[]): number {
  return (size - weightedSum([...body, 0])) % size;
}
