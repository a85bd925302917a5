/** What was pasted with what the teacher decided about it, and what becomes a material of it. */
import { limits, type NewMaterial, type ShelfMatch } from '@hapset/contract';
import {
  chooseSize,
  documentFromText,
  markDuplicates,
  titleFromWords,
  type DuplicateMark,
  type IntakeAnswer,
  type IntakeItem,
  type LinkKind,
} from '@hapset/core';
import type { IntakeReader } from './reader.js';

/** One item of the intake with what the teacher decided about it. */
export interface IntakeRowState {
  readonly item: IntakeItem;
  readonly duplicate: DuplicateMark;
  /** Will it become a material? */
  readonly taken: boolean;
  /** Kind of the link as the teacher chose it; null where what was recognised holds. */
  readonly kind: LinkKind | null;
  /** The link that was given, where the student's is in its place; null otherwise. */
  readonly insteadOf: string | null;
  /** Words that go on a page of their own, not into the code. */
  readonly onPage: boolean;
  /** What was asked, where this is the answer; null where nothing was. */
  readonly asked: string | null;
  readonly leftOut: boolean;
  /** The same link on the shelf, where it is used instead of being added again; null otherwise. */
  readonly used: ShelfMatch | null;
  /** The same link on the shelf, used or not. */
  readonly match: ShelfMatch | null;
}

/** What the teacher put in the place of what was read. */
export interface ItemChange {
  readonly kind: 'link' | 'words';
  readonly text: string;
  readonly title: string;
}

export interface Decisions {
  /** Which reading of a question was meant, by pasted text. */
  readonly answers: ReadonlyMap<string, 0 | 1>;
  /** By pasted text. */
  readonly changes: ReadonlyMap<string, ItemChange>;
  /** By pasted text. */
  readonly leftOut: ReadonlySet<string>;
  /** Positions of what is here already and is added anyway. */
  readonly kept: ReadonlySet<number>;
  /** Kinds that were chosen, by pasted text. */
  readonly kinds: ReadonlyMap<string, LinkKind>;
  /** Student's links to take instead, by pasted text. */
  readonly studentLinks: ReadonlyMap<string, string>;
  /** Words that go on a page of their own, by pasted text. */
  readonly onPage: ReadonlySet<string>;
}

export const noDecisions: Decisions = {
  answers: new Map(),
  changes: new Map(),
  leftOut: new Set(),
  kept: new Set(),
  kinds: new Map(),
  studentLinks: new Map(),
  onPage: new Set(),
};

/** What reads a link that was typed in the place of another. */
type ReadLink = IntakeReader['readLink'];
const readsNone: ReadLink = () => null;

/** What is known beside what was read. */
export interface Known {
  readonly matches: readonly ShelfMatch[];
  readonly readLink: ReadLink;
}

/** Applies the decisions to what was read. Duplicates stay out unless they are wanted, questions until they are answered. */
export function reviewItems(
  given: readonly IntakeItem[],
  here: readonly string[],
  decisions: Decisions,
  { matches, readLink }: Known = { matches: [], readLink: readsNone },
): readonly IntakeRowState[] {
  const onShelf = new Map(matches.map((match) => [match.link, match]));
  const answered = given.flatMap((item) => answersOf(item, decisions, readLink));
  const items = answered.map(({ item }) => withStudentLink(item, decisions));
  const duplicates = markDuplicates(items, here);
  return items.map((item, index): IntakeRowState => {
    const { item: before, asked } = answered[index] ?? { item, asked: null };
    const duplicate = duplicates[index] ?? null;
    const match = (item.kind === 'link' && duplicate === null && onShelf.get(item.link)) || null;
    return {
      item,
      asked,
      kind: decisions.kinds.get(item.pasted) ?? null,
      insteadOf: before !== item && before.kind === 'link' ? before.link : null,
      ...whatBecomes(item, decisions, { duplicate, match, anyway: decisions.kept.has(index) }),
    };
  });
}

/** Whether it becomes a material, or is one already. */
function whatBecomes(
  item: IntakeItem,
  decisions: Decisions,
  { duplicate, match, anyway }: Pick<IntakeRowState, 'duplicate' | 'match'> & { readonly anyway: boolean },
): Pick<IntakeRowState, 'duplicate' | 'match' | 'used' | 'onPage' | 'leftOut' | 'taken'> {
  const onPage = decisions.onPage.has(item.pasted);
  const leftOut = decisions.leftOut.has(item.pasted);
  const isNew = duplicate === null && match === null;
  return {
    duplicate,
    match,
    used: leftOut || anyway ? null : match,
    onPage,
    leftOut,
    taken: !leftOut && canBeAdded(item, onPage) && (isNew || anyway),
  };
}

function canBeAdded(item: IntakeItem, onPage: boolean): boolean {
  return item.kind !== 'unusable' && item.kind !== 'question' && (onPage || !fitsNoCode(item));
}

/** The item after changes and answers. An answer may give several items. */
function answersOf(
  item: IntakeItem,
  { answers, changes }: Pick<Decisions, 'answers' | 'changes'>,
  readLink: ReadLink,
): readonly { readonly item: IntakeItem; readonly asked: string | null }[] {
  const changed = (given: IntakeItem): IntakeItem => applyChange(given, changes.get(given.pasted), readLink);
  const answer = answers.get(item.pasted);
  if (item.kind !== 'question' || answer === undefined || changes.has(item.pasted))
    return [{ item: changed(item), asked: null }];
  return item.readings[answer].map((one) => ({ item: changed(one), asked: item.pasted }));
}

function applyChange(item: IntakeItem, change: ItemChange | undefined, readLink: ReadLink): IntakeItem {
  if (!change) return item;
  const { pasted, instruction, tags } = item;
  const base = { pasted, instruction, tags, title: change.title.trim() || null };
  const text = change.text.trim();
  if (change.kind === 'words') return { ...base, kind: 'words', words: text.normalize('NFC') };
  const read = readLink(text);
  return read ? { ...base, kind: 'link', link: read.link, repairs: read.repairs } : unusable(base);
}

function unusable(base: Pick<IntakeAnswer, 'pasted' | 'instruction' | 'tags' | 'title'>): IntakeAnswer {
  return { ...base, kind: 'unusable', problem: 'not-an-address' };
}

/** Materials on the shelf that are used in the place of new ones. */
export function usedMaterials(rows: readonly IntakeRowState[]): readonly string[] {
  return rows.flatMap(({ used }) => used?.materialId ?? []);
}

/** Links that may be on the shelf already, as many as the server takes at once. */
export function linksOf(items: readonly IntakeItem[], decisions: Decisions, readLink: ReadLink): readonly string[] {
  const links = new Set<string>();
  for (const item of items) {
    for (const { item: answer } of answersOf(item, decisions, readLink))
      if (answer.kind === 'link') links.add(answer.link);
    if (links.size >= limits.itemsAtOnce) break;
  }
  return [...links].slice(0, limits.itemsAtOnce);
}

/** Questions that still have to be answered. */
export function openQuestions(rows: readonly IntakeRowState[]): number {
  return rows.filter(({ item, leftOut }) => item.kind === 'question' && !leftOut).length;
}

/** Longer than any code holds: it can become a page only. */
export function fitsNoCode(item: IntakeItem): boolean {
  return (
    item.kind === 'words' &&
    item.words.length > neverTooLong &&
    (item.words.length > limits.wordsLength || !chooseSize(item.words).ok)
  );
}

/** Up to here a code holds whatever is written, four bytes a character: 2,331 at level M. */
const neverTooLong = 580;

function withStudentLink(item: IntakeItem, { studentLinks }: Decisions): IntakeItem {
  const link = studentLinks.get(item.pasted);
  return link !== undefined && item.kind === 'link' ? { ...item, link } : item;
}

/**
 * What is sent to the server.
 * @param tags given to all of them, beside their own
 */
export function toNewMaterials(rows: readonly IntakeRowState[], tags: readonly string[] = []): readonly NewMaterial[] {
  return rows.flatMap(({ item, taken, kind, onPage }): readonly NewMaterial[] => {
    if (!taken || item.kind === 'unusable' || item.kind === 'question') return [];
    const all = [...new Set([...item.tags, ...tags])];
    const beside = {
      pasted: item.pasted,
      ...(item.title !== null && { title: item.title }),
      ...(item.instruction !== null && { instruction: item.instruction }),
      ...(all.length > 0 && { tags: all }),
    };
    if (item.kind === 'words' && onPage)
      return [
        {
          kept: { kind: 'written-page', document: documentFromText(item.words) },
          repairs: [],
          title: titleFromWords(item.words),
          ...beside,
          pasted: titleFromWords(item.words),
        },
      ];
    if (item.kind === 'words') return [{ words: item.words, repairs: [], ...beside }];
    if (item.kind === 'contact') return [{ content: item.content, repairs: [], ...beside }];
    return [{ link: item.link, repairs: item.repairs, ...(kind !== null && { kind }), ...beside }];
  });
}
