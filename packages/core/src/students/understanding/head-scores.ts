/** How strongly the head of a column says what it holds: whole heads first, then their words, abbreviations and slips of typing. */
import { folded } from './folded.js';
import type { NamedRole } from '../roster/roster-layout.js';
import {
  joiningWords,
  otherBeginnings,
  otherWords,
  personWords,
  positionHeads,
  rosterHeads,
  roleWords,
  whichNameWords,
} from './words-of-heads.js';

/** For each role that a head may mean, in units of `sure`; a role that is not named is not meant. Below zero: ruled out. */
export type RoleScores = Partial<Record<NamedRole, number>>;

/** What the head of a column says. */
export interface HeadScores {
  readonly scores: RoleScores;
  /** A word of it is known, if only as one that is about something else. */
  readonly known: boolean;
  /** About somebody or something else: no role fits. */
  readonly other: boolean;
}

const sure = 6;
const likely = 4.5;
const maybe = 3.5;
const guess = 2.5;
const lastResort = 0.4;
/** Only where what is in the column is clearly one. */
const hardly = -0.5;
/** Mistyped words are shorter than that only where they say nothing. */
const longEnoughForSlips = 5;

const entriesOf = <Role extends string>(
  words: Readonly<Record<Role, readonly string[]>>,
): readonly (readonly [Role, string])[] =>
  (Object.entries(words) as [Role, readonly string[]][]).flatMap(([role, list]) =>
    list.map((word) => [role, folded(word)] as const),
  );
const collect = <Role>(entries: readonly (readonly [Role, string])[]): ReadonlyMap<string, ReadonlySet<Role>> => {
  const map = new Map<string, Set<Role>>();
  for (const [role, word] of entries) map.set(word, (map.get(word) ?? new Set<Role>()).add(role));
  return map;
};
const foldedSet = (words: readonly string[]): ReadonlySet<string> => new Set(words.map(folded));

const persons = foldedSet(personWords);
const wholes = collect(entriesOf(rosterHeads));
const words = collect([
  ...entriesOf(roleWords),
  ...entriesOf(rosterHeads).filter(([, whole]) => !whole.includes(' ') && whole.length > 2 && !persons.has(whole)),
]);
const joining = foldedSet(joiningWords);
const whichName = foldedSet(whichNameWords);
const others = foldedSet(otherWords);
const positions = foldedSet(positionHeads);
const beginnings = otherBeginnings.map(folded);
const withoutBlanks = /\p{Script=Han}|\p{Script=Hiragana}|\p{Script=Katakana}|\p{Script=Hangul}/u;

/** Heads are compared in this form: "* First_Name: " is "first name". */
export function headKey(cell: string): string {
  return folded(cell.replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2'))
    .replace(/[’`]/gu, "'")
    .replace(/#/gu, ' no ')
    .replace(/[._:*()[\]"\s]+/gu, ' ')
    .trim();
}

/** @param head of a column, of two rows joined by a blank where there are two */
export function scoreHead(head: string): HeadScores {
  const key = headKey(head);
  if (key === '') return { scores: {}, known: false, other: false };
  if (positions.has(key)) return { scores: positionScores(key), known: true, other: false };
  const whole = wholes.get(key);
  if (whole) return { scores: withNeighbours(fill(whole, sure)), known: true, other: false };
  if (withoutBlanks.test(key)) return scoreWithoutBlanks(key);
  const tokens = key.split(/[\s/,;#&+-]+/u).filter((token) => token !== '');
  if (tokens.some(isOther) || others.has(key)) return aboutOther(tokens);
  const byWords = scoreWords(tokens, key);
  if (byWords) return { scores: byWords, known: true, other: false };
  const slip = nearest(key, wholes);
  if (slip) return { scores: withNeighbours(fill(slip, likely)), known: true, other: false };
  return { scores: {}, known: false, other: false };
}

/** A class may be called by its teacher: "Teacher/Class". What is in the column decides. */
function aboutOther(tokens: readonly string[]): HeadScores {
  const isClass = tokens.some((token) => !isOther(token) && words.get(token)?.has('class') === true);
  return isClass ? { scores: { class: hardly }, known: true, other: false } : { scores: {}, known: true, other: true };
}

const fill = (roles: Iterable<NamedRole>, score: number): RoleScores =>
  Object.fromEntries([...roles].map((role) => [role, score]));

/** A number of the row, unless what is in the column is no such sequence. */
const positionScores = (key: string): RoleScores =>
  /^(?:번호|no?|n°|nº|№|nr|nummer|numero|numer|number)$/u.test(key) ? { id: guess } : {};

/** "Name" alone may be the family's, "Nome" alone the whole name; a whole name may have the family name first. */
function withNeighbours(scores: RoleScores): RoleScores {
  const { name, given, family, class: group, year } = scores;
  return {
    ...scores,
    // Where classes are called streams or sections, the year is called class.
    ...(group !== undefined && { year: year ?? lastResort }),
    ...(name !== undefined && { familyFirst: name - 0.5, family: family ?? name - 2.5, given: given ?? name - 3 }),
    ...(given !== undefined && name === undefined && { name: given - 2.5 }),
    ...(family !== undefined && name === undefined && { name: family - 3, familyFirst: family - 3 }),
  };
}

function isOther(token: string): boolean {
  return others.has(token) || beginnings.some((beginning) => token.startsWith(beginning));
}

/** What the words of a head say together; null where none is known. */
function scoreWords(tokens: readonly string[], key: string): RoleScores | null {
  // "First name", "Último nome": which of the names it is, whatever the word for a name is.
  const which = tokens.filter((token) => whichName.has(token));
  const meant = (which.length > 0 ? which : tokens).map(rolesOfWord);
  const said = meant.filter((roles): roles is ReadonlySet<NamedRole> => roles !== null);
  const isPerson = tokens.some((token) => persons.has(token));
  // "Student" alone is the student's name.
  if (said.length === 0) return tokens.every((token) => persons.has(token)) ? withNeighbours({ name: maybe }) : null;
  const has = (role: NamedRole): boolean => said.some((roles) => roles.has(role));
  const at = (role: NamedRole): number => meant.findIndex((roles) => roles?.has(role) === true);
  if (partsTogether(has, tokens, key)) return wholeInOrder(at('family'), at('given'), at('name'));
  if (has('class')) return classOrYear(has, tokens);
  if (has('family') || has('given') || has('middle')) return partOfName(said, tokens);
  return (
    scoreWhole(has, {
      isPerson,
      isMore: tokens.length > 1,
      isAddress: tokens.some((token) => /mail$/u.test(token)),
    }) ?? fill(said[0] ?? [], likely)
  );
}

function scoreWhole(
  has: (role: NamedRole) => boolean,
  {
    isPerson,
    isMore,
    isAddress,
  }: { readonly isPerson: boolean; readonly isMore: boolean; readonly isAddress: boolean },
): RoleScores | null {
  if (has('name')) return withNeighbours({ name: isPerson ? likely : maybe });
  // An address is an id where there is no other.
  if (has('id')) return { id: isAddress ? lastResort : isPerson || isMore ? likely : maybe };
  return has('year') ? { year: likely } : null;
}

/** "NOM Prénom", "Cognome e nome": both parts in one column, with or without a word between them. */
function partsTogether(has: (role: NamedRole) => boolean, tokens: readonly string[], key: string): boolean {
  const isBoth = has('family') && has('given');
  const isJoined = tokens.some((token) => joining.has(token)) || /[,/+&]/u.test(key);
  // "Name, first name" is both; "Family name" is not, though its words are.
  const distinct = tokens.filter((token) => rolesOfWord(token) !== null && !onlyName(token)).length;
  return (isBoth && distinct > 1) || (isJoined && has('name') && (has('given') || has('family')) && tokens.length > 1);
}

function onlyName(token: string): boolean {
  const roles = rolesOfWord(token);
  return roles?.size === 1 && roles.has('name');
}

function wholeInOrder(family: number, given: number, name: number): RoleScores {
  const first = family === -1 ? name : family;
  return first !== -1 && first < given ? { familyFirst: sure, name: likely } : { name: sure, familyFirst: likely };
}

function classOrYear(has: (role: NamedRole) => boolean, tokens: readonly string[]): RoleScores {
  // "Roll group", "Reg form" and "Class name" are classes, "Roll number" and "Class number" are not told by that alone.
  const isNumber = has('id') && !tokens.some((token) => token === 'code' || token === 'cod' || token === 'cd');
  return { class: isNumber ? guess : likely, ...(has('year') && { year: maybe }), ...(has('id') && { id: guess }) };
}

/** Words that make another name of a person the less usual one: where there are two, the other one is on the card. */
const second = foldedSet(['preferred', 'known', 'chosen', 'former', 'second', 'segundo', 'drugie', 'zweiter', 'other']);

function partOfName(said: readonly ReadonlySet<NamedRole>[], tokens: readonly string[]): RoleScores {
  const scores: RoleScores = {};
  const lessUsual = tokens.some((token) => second.has(token)) ? 0.7 : 0;
  for (const role of ['family', 'given', 'middle'] as const)
    if (said.some((roles) => roles.has(role))) scores[role] = likely + (tokens.includes('legal') ? 0.4 : 0) - lessUsual;
  return withNeighbours(scores);
}

/** Exactly, as the beginning of a longer word or an abbreviation, or with a slip of typing. */
function rolesOfWord(token: string): ReadonlySet<NamedRole> | null {
  const exact = words.get(token);
  if (exact) return exact;
  if (persons.has(token) || joining.has(token)) return null;
  const longer = longerWord(token);
  if (longer) return longer;
  return nearest(token, words);
}

const remembered = new Map<string, ReadonlySet<NamedRole> | null>();
const mostRemembered = 5000;

function longerWord(token: string): ReadonlySet<NamedRole> | null {
  if (/^\p{L}{3,}(?:nummer|nr|number|num|no)$/u.test(token)) return new Set(['id']);
  for (const [word, roles] of words) {
    if (word.length >= 5 && token.startsWith(word)) return roles;
    // "Vorn.", "Kl.": the beginning of a word, and nobody wrote more.
    if (
      token.length >= 2 &&
      token.length < word.length &&
      word.startsWith(token) &&
      (token.length >= 4 || word.length <= 7) &&
      abbreviates(token, roles)
    )
      return roles;
  }
  return null;
}

/** Two letters are enough for a class alone: "Kl.", "Gr."; other words need four. */
const abbreviates = (token: string, roles: ReadonlySet<NamedRole>): boolean =>
  token.length >= 4 ? !roles.has('id') : roles.has('class') && /^(?:kl|cl|gr|tr)/u.test(token);

/** One wrong, missing or exchanged letter; two in long words. */
function nearest(text: string, known: ReadonlyMap<string, ReadonlySet<NamedRole>>): ReadonlySet<NamedRole> | null {
  if (text.length < longEnoughForSlips || !/^[\x20-\x7e]+$/u.test(text)) return null;
  const key = `${known === words ? 'word' : 'whole'} ${text}`;
  const before = remembered.get(key);
  if (before !== undefined) return before;
  if (remembered.size >= mostRemembered) remembered.clear();
  const found = fewestSlips(text, known);
  remembered.set(key, found);
  return found;
}

function fewestSlips(text: string, known: ReadonlyMap<string, ReadonlySet<NamedRole>>): ReadonlySet<NamedRole> | null {
  const most = text.length >= 9 ? 2 : 1;
  let best: ReadonlySet<NamedRole> | null = null;
  let fewest = most + 1;
  for (const [word, roles] of known) {
    if (word.length < longEnoughForSlips - 1 || Math.abs(word.length - text.length) > most) continue;
    const slips = slipsBetween(text, word, most);
    if (slips < fewest) [best, fewest] = [roles, slips];
  }
  return best;
}

/** Letters that are wrong, missing, too many or exchanged with their neighbour (optimal string alignment), up to `most` + 1. */
export function slipsBetween(one: string, other: string, most: number): number {
  let before: readonly number[] = [];
  let row: readonly number[] = Array.from({ length: other.length + 1 }, (_, index) => index);
  for (let at = 1; at <= one.length; at += 1) {
    const next = [at];
    for (let to = 1; to <= other.length; to += 1) {
      const same = one[at - 1] === other[to - 1] ? 0 : 1;
      const exchanged = one[at - 1] === other[to - 2] && one[at - 2] === other[to - 1];
      next.push(
        Math.min(
          cell(row, to) + 1,
          cell(next, to - 1) + 1,
          cell(row, to - 1) + same,
          exchanged ? cell(before, to - 2) + 1 : Infinity,
        ),
      );
    }
    if (Math.min(...next) > most) return most + 1;
    [before, row] = [row, next];
  }
  return cell(row, other.length);
}

const cell = (row: readonly number[], at: number): number => row[at] ?? Infinity;

/** Parts of heads in scripts that put no blank between words; the longest first. */
const partsWithoutBlanks: readonly (readonly [string, NamedRole | 'other' | 'position'])[] = (
  [
    ['ふりがな', 'other'],
    ['フリガナ', 'other'],
    ['性别', 'other'],
    ['性別', 'other'],
    ['电话', 'other'],
    ['電話', 'other'],
    ['住所', 'other'],
    ['地址', 'other'],
    ['生日', 'other'],
    ['生年月日', 'other'],
    ['出生', 'other'],
    ['父', 'other'],
    ['母', 'other'],
    ['家长', 'other'],
    ['保護者', 'other'],
    ['성별', 'other'],
    ['생년월일', 'other'],
    ['전화', 'other'],
    ['보호자', 'other'],
    ['出席番号', 'position'],
    ['序号', 'position'],
    ['座号', 'position'],
    ['순번', 'position'],
    ['姓名', 'name'],
    ['氏名', 'name'],
    ['名前', 'name'],
    ['이름', 'name'],
    ['성명', 'name'],
    ['学籍番号', 'id'],
    ['学籍号', 'id'],
    ['学号', 'id'],
    ['番号', 'id'],
    ['编号', 'id'],
    ['학번', 'id'],
    ['번호', 'id'],
    ['班级', 'class'],
    ['班', 'class'],
    ['クラス', 'class'],
    ['組', 'class'],
    ['学級', 'class'],
    ['반', 'class'],
    ['학급', 'class'],
    ['年级', 'year'],
    ['学年', 'year'],
    ['학년', 'year'],
    ['姓', 'family'],
    ['名', 'given'],
  ] as const
).map(([part, role]) => [folded(part), role]);

function scoreWithoutBlanks(key: string): HeadScores {
  const found = partsWithoutBlanks.find(([part]) => key.includes(part));
  if (!found) return { scores: {}, known: false, other: false };
  const [, role] = found;
  if (role === 'other') return { scores: {}, known: true, other: true };
  if (role === 'position') return { scores: {}, known: true, other: false };
  return { scores: withNeighbours({ [role]: likely }), known: true, other: false };
}
