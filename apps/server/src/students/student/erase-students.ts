/** Erases students' rows, what the imports of rosters remember of them, and every roster that was not imported yet. Their cards and readings go with the rows. */
import { idKey } from '@hapset/core';
import { In, type EntityManager } from 'typeorm';
import { ComparedRoster } from './compared-roster.entity.js';
import { RosterImport } from './roster-import.entity.js';
import type { StudentRecord } from './student-record.js';
import { Student } from './student.entity.js';

/** @param students locked in the same transaction */
export async function eraseStudents(manager: EntityManager, students: readonly StudentRecord[]): Promise<void> {
  await forgetInImports(manager, students);
  // Who is in one is not looked up: it is compared again in a moment.
  await manager.createQueryBuilder().delete().from(ComparedRoster).execute();
  await manager.delete(Student, { id: In(students.map(({ id }) => id)) });
}

async function forgetInImports(manager: EntityManager, students: readonly StudentRecord[]): Promise<void> {
  const ids = new Set(students.map(({ id }) => id));
  for (const { id: importId } of await manager.find(RosterImport, { select: { id: true } })) {
    const row = await manager.findOneByOrFail(RosterImport, { id: importId });
    const { added, changed, left } = row.changes;
    const changes = {
      added: added.filter((id) => !ids.has(id)),
      changed: changed.filter(({ id }) => !ids.has(id)),
      left: left.filter((entry) => !ids.has(typeof entry === 'string' ? entry : entry.id)),
    };
    const shorter =
      changes.added.length + changes.changed.length + changes.left.length < added.length + changed.length + left.length;
    const fileName = students.some((student) => names(row.fileName, student)) ? 'Roster' : row.fileName;
    if (shorter || fileName !== row.fileName)
      await manager.update(RosterImport, { id: importId }, { changes, fileName });
  }
}

/** Whether a file's name says who somebody is: by the whole name, by given and family name, or by the school's id. */
function names(fileName: string, { name, given, family, schoolId }: StudentRecord): boolean {
  const text = idKey(fileName);
  const holds = (part: string): boolean => part !== '' && text.includes(idKey(part));
  return (
    holds(name) || (holds(given) && holds(family)) || (schoolId !== null && schoolId.length >= 4 && holds(schoolId))
  );
}
