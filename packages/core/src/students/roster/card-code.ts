/**
 * What a student's card says: a random token that means something to this school's server alone, or what the school chose to print in
 * clear. A token has a prefix that tells a card from every other code, and a check character, so that a misread one is never somebody else.
 */
import { checkOf, slugAlphabet, valuesOf, weightedSum } from '../../code/short-link/check-character.js';

/** What the code of a card may say. */
export const cardCodes = ['token', 'id', 'id-and-name'] as const;
/** One of them. */
export type CardCode = (typeof cardCodes)[number];

const prefix = 'HPC';
/** Of 23 characters each: 54 bits. With prefix and check 16, which version 1 holds at level Q in alphanumeric mode. */
export const cardTokenNumbers = 12;
const length = prefix.length + cardTokenNumbers + 1;

/** @param numbers one for each character, whole and at least 0, evenly spread @throws RangeError for another count */
export function cardTokenOf(numbers: readonly number[]): string {
  if (numbers.length !== cardTokenNumbers)
    throw new RangeError(`a card's token needs ${cardTokenNumbers} numbers, got ${numbers.length}`);
  const body = numbers.map((number) => number % slugAlphabet.length);
  return prefix + [...body, checkOf(body)].map((value) => slugAlphabet[value]).join('');
}

/** What a card that was read says. */
export type CardText =
  | { readonly kind: 'token'; readonly token: string }
  /** Begins like a card's token, and is none. */
  | { readonly kind: 'misread' }
  | { readonly kind: 'text'; readonly text: string };

/** What was read, or typed from a card: blanks and hyphens don't count. */
export function readCardText(text: string): CardText {
  const typed = text.toUpperCase().replace(/[\s-]/g, '');
  if (!typed.startsWith(prefix) || typed.length < length - 2 || typed.length > length + 2)
    return { kind: 'text', text: text.trim() };
  const values = valuesOf(typed.slice(prefix.length));
  return typed.length === length && values !== null && weightedSum(values) === 0
    ? { kind: 'token', token: typed }
    : { kind: 'misread' };
}

/** What the code of a card carries. @param schoolId '' where there is none */
export function cardPayload(
  code: CardCode,
  { schoolId, name, token }: { readonly schoolId: string; readonly name: string; readonly token: string },
): string {
  switch (code) {
    case 'token':
      return token;
    case 'id':
      return schoolId;
    case 'id-and-name':
      return `${schoolId} ${name}`.trim();
  }
}
