/** What an import leaves behind, so that it is listed and can be undone. */
import type { RosterImportView } from '@hapset/contract';
import { In, type EntityManager } from 'typeorm';
import type { RosterImport, StudentBefore } from './roster-import.entity.js';
import { Student } from './student.entity.js';

export async function beforeOf(manager: EntityManager, ids: readonly string[]): Promise<readonly StudentBefore[]> {
  const rows = ids.length === 0 ? [] : await manager.findBy(Student, { id: In([...ids]) });
  return rows.map(({ id, schoolId, prefix, given, middle, family, className, year, leftAt, edited, version }) => ({
    id,
    schoolId,
    prefix,
    given,
    middle,
    family,
    className,
    year,
    leftAt: leftAt?.getTime() ?? null,
    edited,
    version: version + 1,
  }));
}

export async function versionsOf(manager: EntityManager, ids: readonly string[]): Promise<ReadonlyMap<string, number>> {
  const rows =
    ids.length === 0
      ? []
      : await manager.find(Student, { where: { id: In([...ids]) }, select: { id: true, version: true } });
  return new Map(rows.map(({ id, version }) => [id, version]));
}

export function toImportView(
  { id, kind, fileName, importedAt, changes, undoneAt }: RosterImport,
  last: boolean,
): RosterImportView {
  return {
    id,
    kind,
    fileName,
    importedAt: importedAt.toISOString(),
    added: changes.added.length,
    changed: changes.changed.length,
    left: changes.left.length,
    undone: undoneAt !== null,
    undoable: last && undoneAt === null,
  };
}
