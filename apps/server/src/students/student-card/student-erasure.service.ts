/**
 * The one place where students are erased, with all traces: their rows, cards, readings and prints, what imports
 * remember of them, the files of prints that show them, and prints that are being drawn, which begin again without
 * them. Backups and freed pages of the database are named in docs/operations.md.
 */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { idKey } from '@hapset/core';
import { In, IsNull, Not, Repository, type EntityManager } from 'typeorm';
import { retryingDeadlocks } from '../../platform/database/deadlock.js';
import { lockRow } from '../../platform/database/lock-row.js';
import { PrintService } from '../../paper/sheet/print.service.js';
import { RosterImport } from '../roster/roster-import.entity.js';
import { Student } from '../student/student.entity.js';
import { PrintedCard } from './printed-card.entity.js';

const atOnce = 200;

@Injectable()
export class StudentErasure {
  constructor(
    @InjectRepository(Student) private readonly students: Repository<Student>,
    private readonly prints: PrintService,
  ) {}

  /** Unknown ids are passed over. */
  async erase(ids: readonly string[]): Promise<void> {
    for (let from = 0; from < ids.length; from += atOnce) await this.eraseSome(ids.slice(from, from + atOnce));
  }

  /** All of a class, or all who left where no class is named. @returns how many */
  async eraseGroup(className: string | null): Promise<number> {
    const rows = await this.students.find({
      where: className === null ? { leftAt: Not(IsNull()) } : { className },
      select: { id: true },
    });
    await this.erase(rows.map(({ id }) => id));
    return rows.length;
  }

  private async eraseSome(ids: readonly string[]): Promise<void> {
    const touched = await retryingDeadlocks(() =>
      this.students.manager.transaction((manager) => eraseRows(manager, ids)),
    );
    // Files last: what they are made from is gone by now, so none can be made again with those names.
    for (const printId of touched) await this.prints.rewrite(printId);
  }
}

/** @returns prints that showed them */
async function eraseRows(manager: EntityManager, ids: readonly string[]): Promise<readonly string[]> {
  await lockRow(manager, 'rosters');
  const students = await manager
    .createQueryBuilder(Student, 'student')
    .where({ id: In([...ids]) })
    .setLock('pessimistic_write')
    .getMany();
  if (students.length === 0) return [];
  const known = students.map(({ id }) => id);
  const cards = await manager.find(PrintedCard, {
    where: { studentId: In(known) },
    select: { id: true, printId: true },
  });
  await forgetInImports(manager, students);
  // Cards, printed cards and readings go with their student.
  await manager.delete(Student, { id: In(known) });
  return [...new Set(cards.map(({ printId }) => printId))];
}

async function forgetInImports(manager: EntityManager, students: readonly Student[]): Promise<void> {
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
function names(fileName: string, { name, given, family, schoolId }: Student): boolean {
  const text = idKey(fileName);
  const holds = (part: string): boolean => part !== '' && text.includes(idKey(part));
  return (
    holds(name) || (holds(given) && holds(family)) || (schoolId !== null && schoolId.length >= 4 && holds(schoolId))
  );
}
