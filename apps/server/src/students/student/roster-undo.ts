/**
 * What undoing an import does: who came with it is deleted, who was changed by it is what they were before. Whoever was
 * changed since, or got a card or a reading since, stays as they are: undoing an import must not undo other work.
 */
import type { RosterUndoView, RosterUntouched } from '@hapset/contract';
import { In, MoreThan, type EntityManager } from 'typeorm';
import { notFound, ProblemError } from '../../platform/problem/problem.js';
import { RosterImport, type StudentBefore } from './roster-import.entity.js';
import { Student } from './student.entity.js';

const shownNames = 12;

export interface UndoPlan {
  readonly deleted: readonly Student[];
  /** `before` is null for those who only left with the import. */
  readonly restored: readonly { readonly student: Student; readonly before: StudentBefore | null }[];
  readonly untouched: readonly { readonly student: Student; readonly why: RosterUntouched }[];
}

/** @throws ProblemError not-found, not-undoable for one that another import came after, or that was undone already */
export async function requireUndoable(manager: EntityManager, id: string): Promise<RosterImport> {
  const found = await manager.findOneBy(RosterImport, { id });
  if (!found) throw notFound('import');
  if (found.undoneAt !== null || (await manager.existsBy(RosterImport, { id: MoreThan(id) })))
    throw new ProblemError('not-undoable', 'Only the last import can be undone, once.');
  return found;
}

export async function planUndo(manager: EntityManager, { changes }: RosterImport): Promise<UndoPlan> {
  const left = changes.left.map((entry) => (typeof entry === 'string' ? { id: entry, version: undefined } : entry));
  const known = await byId(manager, [
    ...changes.added,
    ...changes.changed.map(({ id }) => id),
    ...left.map(({ id }) => id),
  ]);
  const used = await withCardOrReading(manager, changes.added);
  const plan = {
    deleted: [] as Student[],
    restored: [] as UndoPlan['restored'][number][],
    untouched: [] as UndoPlan['untouched'][number][],
  };
  for (const id of changes.added) {
    const student = known.get(id);
    if (!student) continue;
    if (used.has(id)) plan.untouched.push({ student, why: 'card' });
    else if (student.version !== 1) plan.untouched.push({ student, why: 'changed' });
    else plan.deleted.push(student);
  }
  const restore = (id: string, version: number | undefined, before: StudentBefore | null): void => {
    const student = known.get(id);
    if (!student) return;
    if (version === student.version) plan.restored.push({ student, before });
    else plan.untouched.push({ student, why: version === undefined ? 'unknown' : 'changed' });
  };
  for (const before of changes.changed) restore(before.id, before.version, before);
  for (const { id, version } of left) restore(id, version, null);
  return plan;
}

export function toUndoView({ deleted, restored, untouched }: UndoPlan): RosterUndoView {
  const named = ({ name, className }: Student): string => (className === '' ? name : `${name}, ${className}`);
  return {
    deleted: deleted.length,
    someDeleted: deleted.slice(0, shownNames).map(named),
    restored: restored.length,
    someRestored: restored.slice(0, shownNames).map(({ student }) => named(student)),
    untouched: untouched.length,
    someUntouched: untouched.slice(0, shownNames).map(({ student, why }) => ({ name: named(student), why })),
  };
}

async function byId(manager: EntityManager, ids: readonly string[]): Promise<ReadonlyMap<string, Student>> {
  const rows = ids.length === 0 ? [] : await manager.findBy(Student, { id: In([...new Set(ids)]) });
  return new Map(rows.map((student) => [student.id, student]));
}

/** Asked of the tables themselves: cards and readings belong to another noun. */
async function withCardOrReading(manager: EntityManager, ids: readonly string[]): Promise<ReadonlySet<string>> {
  if (ids.length === 0) return new Set();
  const query = ['student_cards', 'printed_cards', 'card_readings']
    .map((table) => `SELECT student_id AS id FROM ${table} WHERE student_id IN (?)`)
    .join(' UNION ');
  const rows = (await manager.query(query, [[...ids], [...ids], [...ids]])) as { id: string }[];
  return new Set(rows.map(({ id }) => id));
}
