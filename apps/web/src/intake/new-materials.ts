import type { NewMaterial } from '@hapset/contract';
import { markDuplicates, readIntake, type DuplicateMark, type IntakeItem, type RepairKind } from '@hapset/core';

/** One thing of the intake with what the teacher decided about it. */
export interface IntakeRowState {
  readonly item: IntakeItem;
  readonly duplicate: DuplicateMark;
  /** Repairs that could be made again, since they were taken back. */
  readonly takenBack: readonly RepairKind[];
  /** Will it become a material? */
  readonly taken: boolean;
}

export interface Decisions {
  /** By pasted text. */
  readonly takenBack: ReadonlyMap<string, ReadonlySet<RepairKind>>;
  /** Positions of duplicates that are wanted all the same. */
  readonly kept: ReadonlySet<number>;
}

export const noDecisions: Decisions = { takenBack: new Map(), kept: new Set() };

/** Reads what was pasted and applies the decisions. */
export function reviewIntake(text: string, here: readonly string[], decisions: Decisions): readonly IntakeRowState[] {
  return reviewItems(readIntake(text, decisions.takenBack), here, decisions);
}

/** Applies the decisions to what was read. Duplicates stay out unless they are wanted. */
export function reviewItems(items: readonly IntakeItem[], here: readonly string[], decisions: Decisions): readonly IntakeRowState[] {
  const duplicates = markDuplicates(items, here);
  return items.map((item, index) => {
    const duplicate = duplicates[index] ?? null;
    return { item, duplicate, takenBack: [...(decisions.takenBack.get(item.pasted) ?? [])], taken: item.sort !== 'unusable' && (duplicate === null || decisions.kept.has(index)) };
  });
}

/**
 * What is sent to the server.
 * @param tags given to all of them, beside their own
 */
export function toNewMaterials(rows: readonly IntakeRowState[], tags: readonly string[] = []): readonly NewMaterial[] {
  return rows.flatMap(({ item, taken }): readonly NewMaterial[] => {
    if (!taken || item.sort === 'unusable') return [];
    const all = [...new Set([...item.tags, ...tags])];
    const beside = { pasted: item.pasted, ...(item.title !== null && { title: item.title }), ...(item.instruction !== null && { instruction: item.instruction }), ...(all.length > 0 && { tags: all }) };
    return item.sort === 'words' ? [{ words: item.words, repairs: [], ...beside }] : [{ link: item.link, repairs: item.repairs, ...beside }];
  });
}

/** True when the one thing that was pasted needs no look: nothing repaired, nothing doubled. */
export function isPlain(rows: readonly IntakeRowState[]): boolean {
  const [only] = rows;
  if (rows.length !== 1 || !only) return false;
  return only.duplicate === null && only.takenBack.length === 0 && (only.item.sort === 'words' || (only.item.sort === 'link' && only.item.repairs.length === 0));
}
