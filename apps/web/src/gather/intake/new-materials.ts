import { limits, type NewMaterial } from '@hapset/contract';
import {
  chooseSize,
  describeAddress,
  documentFromText,
  markDuplicates,
  readIntake,
  titleFromWords,
  type DuplicateMark,
  type IntakeItem,
  type LinkKind,
  type RepairKind,
  type ServiceCatalogue,
} from '@hapset/core';

/** One thing of the intake with what the teacher decided about it. */
export interface IntakeRowState {
  readonly item: IntakeItem;
  readonly duplicate: DuplicateMark;
  /** Repairs that could be made again, since they were taken back. */
  readonly takenBack: readonly RepairKind[];
  /** Will it become a material? */
  readonly taken: boolean;
  /** Kind of the link as the teacher chose it; null where what was recognised holds. */
  readonly kind: LinkKind | null;
  /** The link that was given, where the student's stands in its place; null otherwise. */
  readonly insteadOf: string | null;
  /** Words that go on a page of their own, not into the code. */
  readonly onPage: boolean;
}

export interface Decisions {
  /** By pasted text. */
  readonly takenBack: ReadonlyMap<string, ReadonlySet<RepairKind>>;
  /** Positions of duplicates that are wanted all the same. */
  readonly kept: ReadonlySet<number>;
  /** Kinds that were chosen, by pasted text. */
  readonly kinds: ReadonlyMap<string, LinkKind>;
  /** Student's links to take instead, by pasted text. */
  readonly studentLinks: ReadonlyMap<string, string>;
  /** Words that go on a page of their own, by pasted text. */
  readonly onPage: ReadonlySet<string>;
}

export const noDecisions: Decisions = {
  takenBack: new Map(),
  kept: new Set(),
  kinds: new Map(),
  studentLinks: new Map(),
  onPage: new Set(),
};

/** Reads what was pasted and applies the decisions. */
export function reviewIntake(text: string, here: readonly string[], decisions: Decisions): readonly IntakeRowState[] {
  return reviewItems(readIntake(text, decisions.takenBack), here, decisions);
}

/** Applies the decisions to what was read. Duplicates stay out unless they are wanted. */
export function reviewItems(
  given: readonly IntakeItem[],
  here: readonly string[],
  decisions: Decisions,
): readonly IntakeRowState[] {
  const items = given.map((item) => withStudentLink(item, decisions));
  const duplicates = markDuplicates(items, here);
  return items.map((item, index) => {
    const before = given[index];
    const duplicate = duplicates[index] ?? null;
    const onPage = decisions.onPage.has(item.pasted);
    return {
      item,
      duplicate,
      kind: decisions.kinds.get(item.pasted) ?? null,
      insteadOf: before !== item && before?.kind === 'link' ? before.link : null,
      takenBack: [...(decisions.takenBack.get(item.pasted) ?? [])],
      onPage,
      taken:
        item.kind !== 'unusable' && (onPage || !fitsNoCode(item)) && (duplicate === null || decisions.kept.has(index)),
    };
  });
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
/** Up to this version every camera in use reads it in the hand. */
const neverTooFine = 6;

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
    if (!taken || item.kind === 'unusable') return [];
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
    return item.kind === 'words'
      ? [{ words: item.words, repairs: [], ...beside }]
      : [{ link: item.link, repairs: item.repairs, ...(kind !== null && { kind }), ...beside }];
  });
}

/** True when the one thing that was pasted needs no look: nothing repaired, nothing doubled, no page of its editor's. */
export function isPlain(rows: readonly IntakeRowState[], catalogue: ServiceCatalogue): boolean {
  const [only] = rows;
  if (rows.length !== 1 || !only) return false;
  if (only.insteadOf !== null || (only.item.kind === 'link' && isForOthers(only.item.link, catalogue))) return false;
  return (
    only.duplicate === null &&
    only.takenBack.length === 0 &&
    ((only.item.kind === 'words' && !mayBeTooFine(only.item.words)) ||
      (only.item.kind === 'link' && only.item.repairs.length === 0))
  );
}

function mayBeTooFine(words: string): boolean {
  const size = chooseSize(words);
  return !size.ok || size.value.version > neverTooFine;
}

/** True for an address that is known and not the student's: the editor's, the answers'. */
export function isForOthers(link: string, catalogue: ServiceCatalogue): boolean {
  const role = describeAddress(link, catalogue)?.address?.role;
  return role !== undefined && role !== 'student';
}
