/** Compares what a reader returned with what was meant, code point by code point, and says what kind of difference it is. */
export interface Difference {
  /** Index in code points at which the two part. */
  readonly at: number;
  readonly meant: string;
  readonly read: string;
}

const context = 6;

/** Null when both are the same; otherwise the first place where they part, with six code points of context. */
export function firstDifference(meant: string, read: string): Difference | null {
  if (meant === read) return null;
  const wanted = [...meant];
  const given = [...read];
  let at = 0;
  while (at < wanted.length && wanted[at] === given[at]) at += 1;
  return { at, meant: wanted.slice(at, at + context).join(''), read: given.slice(at, at + context).join('') };
}

/** Why a scanner read something else than was meant. */
export const differenceKinds = [
  'cut',
  'line-end',
  'encoding',
  'normal-form',
  'invisible',
  'look-alike',
  'other',
] as const;
/**
 * `cut`: one ends before the other; `encoding`: UTF-8 taken for ISO 8859-1; `normal-form`: the same letters, composed otherwise
 * (Unicode Standard Annex 15); `look-alike`: a letter of another script.
 */
export type DifferenceKind = (typeof differenceKinds)[number];

/** Why a scanner may have read something else than was meant. @param meant from the first difference on, as `read` */
export function differenceKind({ meant, read }: Pick<Difference, 'meant' | 'read'>): DifferenceKind {
  const [wanted, given] = [firstOf(meant), firstOf(read)];
  if (lineEnd.test(wanted) || lineEnd.test(given)) return 'line-end';
  if (wanted === '' || given === '') return 'cut';
  if (wanted > '\u007f' && read.startsWith(takenForLatin1(wanted).slice(0, context))) return 'encoding';
  if (startsAlike(meant.normalize('NFD'), read.normalize('NFD'))) return 'normal-form';
  if (invisible.test(wanted) || invisible.test(given)) return 'invisible';
  return areLettersOfTwoScripts(wanted, given) ? 'look-alike' : 'other';
}

function areLettersOfTwoScripts(one: string, other: string): boolean {
  return letter.test(one) && letter.test(other) && scriptOf(one) !== scriptOf(other);
}

function firstOf(text: string): string {
  return [...text][0] ?? '';
}

const lineEnd = /^[\r\n\u0085\u2028\u2029]$/;
const invisible = /^[\p{Cc}\p{Cf}]$/u;
const letter = /^\p{L}$/u;
const scripts = [/\p{Script=Latin}/u, /\p{Script=Cyrillic}/u, /\p{Script=Greek}/u, /\p{Script=Armenian}/u];

function scriptOf(character: string): number {
  return scripts.findIndex((script) => script.test(character));
}

/** As far as both go: the slices are of the same number of code points, not of the same text. */
function startsAlike(one: string, other: string): boolean {
  const length = Math.min(one.length, other.length);
  return length > 0 && one.slice(0, length) === other.slice(0, length);
}

/** What a reader shows that takes UTF-8 for ISO 8859-1, as ISO/IEC 18004 has it where no encoding is named; null where that is the same. */
export function guessedEncoding(text: string): string | null {
  const guessed = takenForLatin1(text);
  return guessed === text ? null : guessed;
}

function takenForLatin1(text: string): string {
  return Array.from(new TextEncoder().encode(text), (byte) => String.fromCharCode(byte)).join('');
}
