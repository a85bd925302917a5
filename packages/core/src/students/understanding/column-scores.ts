/** How well what is in a column fits each role: shapes, how many differ, words that are names, order. */
import { isParticle } from '../roster/name.js';
import { folded } from './folded.js';
import { isFrequentGivenName } from './given-names.js';
import type { RoleScores } from './head-scores.js';
import type { NamedRole } from '../roster/roster-layout.js';

/** What a cell looks like, found once for each. */
export interface CellLook {
  readonly text: string;
  readonly key: string;
  readonly email: boolean;
  readonly date: boolean;
  readonly phone: boolean;
  readonly decimal: boolean;
  readonly digit: boolean;
  /** Letters, blanks and what names have between them. */
  readonly wordy: boolean;
  readonly words: readonly string[];
  readonly comma: boolean;
  readonly idLike: boolean;
  readonly classLike: boolean;
}

const datePattern =
  /^\d{1,4}[./-]\d{1,2}[./-]\d{2,4}\.?$|^\d{4}-\d\d-\d\d[T ]|^\d{1,2}\.? \p{L}{3,9}\.? \d{4}$|^\d{1,2}:\d\d/u;
const classPattern =
  /^(?:\p{L}{1,10}[ .-]{0,2})?\d{1,3}[ .ºª°°/-]{0,3}[\p{L}\p{N}]{0,4}$|^[IVX]{1,4}[ .-]{0,2}[\p{L}\p{N}]{0,3}$|^\p{L}{1,3}$/u;
const idPattern = /^(?=.*\d)[\p{L}\d]{1,12}(?:[-_/.]?[\p{L}\d]+){0,5}$/u;
const withoutBlank = /^[\p{Script=Han}\p{Script=Hangul}\p{Script=Hiragana}\p{Script=Katakana}]{2,6}$/u;

/** @returns what of it tells the roles of its column */
export function lookAt(cell: string): CellLook {
  const text = cell.trim();
  const digit = /\p{N}/u.test(text);
  const words = text.split(/[\s,]+/u).filter((word) => word !== '');
  return {
    text,
    key: folded(text),
    email: /^[^\s@]+@[^\s@]+\.[^\s@]+$/u.test(text),
    date: datePattern.test(text),
    phone: /^\+?[\d(][\d ()/-]{7,}\d$/u.test(text) && /[ ()/+]/u.test(text),
    decimal: /^-?\d+[.,]\d+$/u.test(text) || /%$/u.test(text),
    digit,
    wordy: !digit && /\p{L}/u.test(text) && !/[@/:;=_<>!?]/u.test(text),
    words,
    comma: /^[^,\d]+,\s*[^,\d]+$/u.test(text),
    idLike: idPattern.test(text) && text.length >= 3 && text.length <= 40,
    classLike: text.length <= 14 && classPattern.test(text),
  };
}

const yesAndNo = new Set(
  [
    'yes',
    'no',
    'y',
    'n',
    'ja',
    'nein',
    'oui',
    'non',
    'true',
    'false',
    'm',
    'f',
    'w',
    'd',
    'male',
    'female',
    'boy',
    'girl',
    'k',
    'e',
  ].concat(['fille', 'garcon', 'l', 'p', 'active', 'inactive', 'student', '男', '女', 'x', '1', '0', 'h']),
);
const yearWords =
  /^(?:year|yr|grade|form|stufe|jahrgang|klasse|niveau|p|s|y|g|k)?\.? ?\d{1,2}(?:e|eme|年|年级|학년|ème|\.)?$|^(?:kg|r|reception|[一二三四五六七八九十]+年级)$/u;
const familyEndings =
  /(?:son|sson|sen|ssen|mann|bauer|meier|ez|ski|ska|cki|cka|wicz|ova|ova|ovic|evic|ic|ov|ova|ev|eva|in|ina|enko|chuk|yan|ian|oglu|escu|eanu|opoulos|idis|akis|iou|nen|vik|berg|strom|lund|quist|gren|wood|ford|ley|ton|field|ham|well|stra|ma|inen|ов|ова|ев|ева|енко|чук|πουλος|ιδης|ίδης|ου)$/u;

/** Counts over the filled cells of a column. */
export interface ColumnFigures {
  /** Filled cells of all, 0 to 1. */
  readonly fill: number;
  readonly count: number;
  readonly rows: number;
  /** Different ones of the filled, 0 to 1. */
  readonly distinct: number;
  readonly share: (test: (look: CellLook) => boolean) => number;
  readonly looks: readonly CellLook[];
}

/** @param looks of the filled cells @param rows how many cells there are with the empty ones */
export function figuresOf(looks: readonly CellLook[], rows: number): ColumnFigures {
  const count = looks.length;
  return {
    fill: rows === 0 ? 0 : count / rows,
    count,
    rows,
    distinct: count === 0 ? 0 : new Set(looks.map(({ key }) => key)).size / count,
    share: (test) => (count === 0 ? 0 : looks.filter(test).length / count),
    looks,
  };
}

/** @returns a score for each role, 0 where nothing speaks for or against it */
export function scoreColumn(figures: ColumnFigures): Required<RoleScores> {
  const { share, count } = figures;
  if (count === 0) return emptyScores;
  // "5.1" and "5.2" again and again are classes, not marks.
  const isMark = share(({ decimal }) => decimal) > 0.5 && figures.distinct > 0.5;
  const isOdd = isMark || share(({ date, phone }) => date || phone) > 0.5;
  if (isOdd) return oddScores;
  const names = scoreNames(figures);
  return { ...names, id: scoreId(figures), class: scoreClass(figures), year: scoreYear(figures) };
}

const all = (score: number): Required<RoleScores> =>
  ({
    id: score,
    name: score,
    familyFirst: score,
    prefix: score,
    given: score,
    middle: score,
    family: score,
    class: score,
    year: score,
  }) satisfies Record<NamedRole, number>;
const emptyScores = { ...all(-3), prefix: -2.5, middle: -2.5 };
const oddScores = { ...all(-7), id: -5.5 };

/** Words of one list of people are mostly different; so are their ids. */
function scoreId({ share, distinct, fill, looks, count }: ColumnFigures): number {
  if (share(({ email }) => email) > 0.8) return distinct > 0.95 ? 1.2 : -6;
  const idLike = share((look) => look.idLike || (look.digit && !look.text.includes(' ')));
  if (idLike < 0.6) return -6;
  if (isSequence(looks)) return -4;
  if (distinct < 0.5) return -6;
  // Said twice by mistake, it is an id all the same where its head says so.
  if (distinct < 0.9 && count > 3) return -1.2;
  const long = share(({ text }) => text.length >= 4);
  return (distinct > 0.97 ? 2.5 : 0) + (fill > 0.8 ? 0.5 : -1) + (long > 0.8 ? 0.5 : -2.5);
}

/** 1, 2, 3 down the rows, or again from 1 in each class; with leading zeros they are ids. */
function isSequence(looks: readonly CellLook[]): boolean {
  const numbers = looks.map(({ text }) => (/^[1-9]\d{0,3}\.?$/u.test(text) ? Number.parseInt(text, 10) : Number.NaN));
  if (looks.length < 3 || Number.isNaN(numbers[0]) || (numbers[0] ?? 9) > 1) return false;
  const steps = numbers.slice(1).filter((number, index) => number === (numbers[index] ?? 0) + 1 || number === 1).length;
  return steps >= (numbers.length - 1) * 0.9;
}

function scoreClass(figures: ColumnFigures): number {
  const { share, distinct, count } = figures;
  const groups = distinct * count;
  if (share(({ email, text }) => email || text.length > 30) > 0.2) return -6;
  if (share(({ key }) => yesAndNo.has(key)) > 0.9) return groups <= 1 ? -1.5 : -5;
  const numbers = share(({ text }) => /^\d{1,2}$/u.test(text));
  // Sets of numbers are marks, unless they are few.
  if ((count > 5 && distinct > 0.7) || (numbers > 0.8 && groups > Math.max(6, count / 3))) return -4;
  const shaped = share(({ classLike, digit, text }) => classLike || (digit && text.length <= 20));
  return shaped * 3.3 - 0.8 - numbers * 0.8 + scoreRepeats(figures, groups);
}

/** A class is said again and again, in runs where a list comes class by class. */
function scoreRepeats({ distinct, count, looks }: ColumnFigures, groups: number): number {
  if (groups <= 1) return 0.6;
  const repeats = count <= 5 || distinct <= 0.5 ? 1 : 0;
  return repeats + (runShare(looks) > 0.8 ? 0.7 : 0);
}

/** Rows that say what the row before says: lists come class by class. */
function runShare(looks: readonly CellLook[]): number {
  return looks.length < 2
    ? 0
    : looks.slice(1).filter(({ key }, index) => key === looks[index]?.key).length / (looks.length - 1);
}

function scoreYear({ share, distinct, count }: ColumnFigures): number {
  const groups = distinct * count;
  const shaped = share(({ key }) => yearWords.test(key));
  if (shaped < 0.5) return share(({ classLike }) => classLike) > 0.8 && groups <= 14 ? -1 : -4;
  return groups <= 14 && (groups < count * 0.6 || count < 4) ? 1 : -3;
}

type NameRole = Exclude<NamedRole, 'id' | 'class' | 'year'>;

/** Scores of whole names and their parts; together, since each is told from the others. */
function scoreNames(figures: ColumnFigures): Readonly<Record<NameRole, number>> {
  const { share, distinct, looks, fill } = figures;
  if (share((look) => look.wordy) < 0.6)
    return { name: -6, familyFirst: -6, prefix: -6, given: -6, family: -6, middle: -5 };
  const words = wordsOf(figures);
  const repeated = distinct < 0.35 && looks.length > 5 ? -3 : 0;
  const initials = share(({ text }) => text.length === 1) > 0.6 ? -2.5 : 0;
  const whole = wholeScore(figures, words) + repeated + initials;
  const isListed = words.comma > 0.6;
  const order = orderOf(figures, words);
  const sorted = isSorted(looks) ? 1.2 : 0;
  const capitals = share(({ text }) => isCapital(text)) > 0.8 ? 0.4 : 0;
  const part = repeated + initials - words.comma * 3 - (fill < 0.8 ? 1.5 : 0);
  const { given, ending, many } = words;
  return {
    name: whole + (isListed ? 0.5 : -order),
    familyFirst: whole + (isListed ? -2 : order),
    given: part + given * 2.4 + 0.3 - sorted * 0.5 - ending * 0.8 - Math.max(0, many - 0.5) * 1.2,
    family: part + 0.8 + sorted + ending * 1.2 + capitals - given * 1.2 - Math.max(0, many - 0.7) * 1.5,
    middle: many < 0.5 ? -2 : -3,
    prefix: share((look) => look.words.every(isParticle)) > 0.7 ? 1 : -5,
  };
}

function wholeScore({ share, distinct }: ColumnFigures, { comma, many, first, last }: WordShares): number {
  if (comma > 0.6) return 4;
  const compact = share(({ text }) => withoutBlank.test(text));
  return many * 4.7 - 1.2 + (distinct > 0.8 ? 0.5 : 0) + (first + last) * 0.8 + compact * 1.5;
}

/** Shares of cells. */
interface WordShares {
  readonly comma: number;
  /** Of several words. */
  readonly many: number;
  /** Whose first word is a frequent given name; among them, those of several words. */
  readonly given: number;
  readonly first: number;
  /** Whose last of several words is one. */
  readonly last: number;
  /** Whose last word ends as family names do. */
  readonly ending: number;
}

function wordsOf({ share }: ColumnFigures): WordShares {
  const isGiven = (word: string | undefined): boolean => isFrequentGivenName(folded(word ?? ''));
  return {
    comma: share((look) => look.comma),
    many: share(({ words }) => words.length > 1),
    given: share(({ words }) => isGiven(words[0])),
    first: share(({ words }) => words.length > 1 && isGiven(words[0])),
    last: share(({ words }) => words.length > 1 && isGiven(words.at(-1))),
    ending: share(({ words }) => familyEndings.test(folded(words.at(-1) ?? ''))),
  };
}

const isCapital = (text: string): boolean =>
  text === text.toUpperCase() && text !== text.toLowerCase() && text.length > 1;

/** Above zero where family names come first: in capitals, or sorted by the first word, or given names last. */
function orderOf({ looks, share }: ColumnFigures, { first, last }: WordShares): number {
  const inCapitals = (one: number, other: number): number =>
    share(({ words }) => words.length > 1 && isCapital(words.at(one) ?? '') && !isCapital(words.at(other) ?? ''));
  const byFirst = isSorted(looks) ? 0.6 : 0;
  const order = (inCapitals(0, -1) - inCapitals(-1, 0)) * 2 + (last - first) * 2.5 + byFirst - 0.3;
  return Math.max(-2, Math.min(2, order));
}

/** Nearly all are in alphabetical order; a list that begins again with each class is so too. */
function isSorted(looks: readonly CellLook[]): boolean {
  if (looks.length < 6) return false;
  const inOrder = looks.slice(1).filter(({ key }, index) => key >= (looks[index]?.key ?? '')).length;
  return inOrder / (looks.length - 1) > 0.85;
}
