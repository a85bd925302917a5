/**
 * The one place where students are erased, with all traces: their rows, cards, readings and prints, what imports
 * remember of them, the files of prints that show them, and prints that are being drawn, which begin again without
 * them. Backups and freed pages of the database are named in docs/operations.md.
 */
import { Injectable } from '@nestjs/common';
import { In, type EntityManager, DataSource } from 'typeorm';
import { retryingDeadlocks } from '../../platform/database/deadlock.js';
import { lockRow } from '../../platform/database/lock-row.js';
import { forgetReplies } from '../../school/idempotency/forget-replies.js';
import { PrintService } from '../../paper/sheet/print.service.js';
import { PrintedCard } from './printed-card.entity.js';
import { StudentService } from '../student/student.service.js';
import { lockStudents } from '../student/lock-students.js';
import { eraseStudents } from '../student/erase-students.js';

const atOnce = 200;

@Injectable()
export class StudentErasure {
  constructor(
    private readonly students: StudentService,
    private readonly dataSource: DataSource,
    private readonly prints: PrintService,
  ) {}

  /** Unknown ids are passed over. */
  async erase(ids: readonly string[]): Promise<void> {
    for (let from = 0; from < ids.length; from += atOnce) await this.eraseSome(ids.slice(from, from + atOnce));
  }

  /** All of a class, or all who left where no class is named. @returns how many */
  async eraseGroup(className: string | null): Promise<number> {
    const ids = await this.students.listIds(className === null ? 'left' : { className });
    await this.erase(ids);
    return ids.length;
  }

  private async eraseSome(ids: readonly string[]): Promise<void> {
    const touched = await retryingDeadlocks(() => this.dataSource.transaction((manager) => eraseRows(manager, ids)));
    // Files last: what they are made from is gone by now, so none can be made again with those names.
    for (const printId of touched) await this.prints.rewrite(printId);
  }
}

/** @returns prints that showed them */
async function eraseRows(manager: EntityManager, ids: readonly string[]): Promise<readonly string[]> {
  await lockRow(manager, 'rosters');
  const students = await lockStudents(manager, ids);
  if (students.length === 0) return [];
  const known = students.map(({ id }) => id);
  const cards = await manager.find(PrintedCard, {
    where: { studentId: In(known) },
    select: { id: true, printId: true },
  });
  await eraseStudents(manager, students);
  await forgetReplies(manager);
  return [...new Set(cards.map(({ printId }) => printId))];
}
