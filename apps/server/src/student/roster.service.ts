/** Rosters: compared with who is known, brought in, and undone. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { ImportRoster, RosterComparisonView, RosterImportView, RosterStudentWish } from '@hapset/contract';
import { compareRoster, sortName, wholeName, type Known, type RosterComparison, type RosterStudent } from '@hapset/core';
import { In, IsNull, MoreThan, Repository } from 'typeorm';
import { Clock } from '../clock/clock.js';
import { newId } from '../database/columns.js';
import { notFound, ProblemError } from '../problem/problem.js';
import { RosterImport, type StudentBefore } from './roster-import.entity.js';
import { Student } from './student.entity.js';
import { namesOf } from './student.service.js';

const shownNames = 12;
const shownImports = 5;
const atOnce = 500;

type Comparison = RosterComparison<string, RosterStudent>;

@Injectable()
export class RosterService {
  constructor(
    @InjectRepository(Student) private readonly students: Repository<Student>,
    @InjectRepository(RosterImport) private readonly imports: Repository<RosterImport>,
    private readonly clock: Clock,
  ) {}

  async compare(wishes: readonly RosterStudentWish[]): Promise<RosterComparisonView> {
    const { added, changed, same, leftOut } = await this.comparison(wishes);
    return {
      added: added.length,
      changed: changed.length,
      same,
      leftOut: leftOut.length,
      someAdded: added.slice(0, shownNames).map(nameAndClass),
      someChanged: changed.slice(0, shownNames).map(({ before, student, parts }) => ({ name: nameAndClass(student), parts, before: nameAndClass(before), back: before.left })),
      someLeftOut: leftOut.slice(0, shownNames).map(nameAndClass),
    };
  }

  /** All of it or nothing. */
  async bring({ students: wishes, leave, fileName }: ImportRoster, importedById: string): Promise<RosterImportView> {
    const { added, changed, leftOut } = await this.comparison(wishes);
    const now = this.clock.now();
    const rows = added.map((student): Partial<Student> => ({ id: newId(), ...columnsOf(student), leftAt: null, version: 1, createdAt: now }));
    const left = leave ? leftOut.map(({ id }) => id) : [];
    const before = await this.before(changed.map(({ id }) => id));
    const row = this.imports.create({ id: newId(), importedById, fileName: fileName.normalize('NFC').slice(0, 200), changes: { added: rows.map(({ id }) => id as string), changed: before, left }, importedAt: now, undoneAt: null });
    await this.students.manager.transaction(async (manager) => {
      for (let from = 0; from < rows.length; from += atOnce) await manager.insert(Student, rows.slice(from, from + atOnce));
      for (const { id, student } of changed) await manager.update(Student, { id }, { ...columnsOf(student), ...(student.schoolId === null && { schoolId: undefined }), leftAt: null, version: () => 'version + 1' });
      if (left.length > 0) await manager.update(Student, { id: In(left) }, { leftAt: now, version: () => 'version + 1' });
      await manager.insert(RosterImport, row);
    });
    return toImportView(row, true);
  }

  async list(): Promise<readonly RosterImportView[]> {
    const rows = await this.imports.find({ order: { id: 'DESC' }, take: shownImports });
    return rows.map((row, index) => toImportView(row, index === 0));
  }

  /** @throws ProblemError not-found, in-use for one that another import came after, or that was undone already */
  async undo(id: string): Promise<void> {
    const found = await this.imports.findOneBy({ id });
    if (!found) throw notFound('import');
    if (found.undoneAt !== null || (await this.imports.existsBy({ id: MoreThan(id) }))) throw new ProblemError('in-use', 'Only the last import can be undone, once.');
    const { added, changed, left } = found.changes;
    await this.students.manager.transaction(async (manager) => {
      const { affected } = await manager.update(RosterImport, { id, undoneAt: IsNull() }, { undoneAt: this.clock.now() });
      if (affected !== 1) throw new ProblemError('in-use', 'This import is undone already.');
      if (added.length > 0) await manager.delete(Student, { id: In([...added]) });
      for (const { id: studentId, leftAt, ...columns } of changed) await manager.update(Student, { id: studentId }, { ...columnsOf(columns), leftAt: leftAt === null ? null : new Date(leftAt), version: () => 'version + 1' });
      if (left.length > 0) await manager.update(Student, { id: In([...left]) }, { leftAt: null, version: () => 'version + 1' });
    });
  }

  private async comparison(wishes: readonly RosterStudentWish[]): Promise<Comparison> {
    const known = (await this.students.find({ order: { id: 'ASC' } })).map(({ leftAt, ...student }): Known<string> => ({ ...student, left: leftAt !== null }));
    return compareRoster(known, wishes.map((wish): RosterStudent => ({ ...wish, name: wholeName(wish), sortedBy: sortName(wish) })));
  }

  private async before(ids: readonly string[]): Promise<readonly StudentBefore[]> {
    const rows = ids.length === 0 ? [] : await this.students.findBy({ id: In([...ids]) });
    return rows.map(({ id, schoolId, prefix, given, middle, family, className, year, leftAt }) => ({ id, schoolId, prefix, given, middle, family, className, year, leftAt: leftAt?.getTime() ?? null }));
  }
}

function columnsOf({ schoolId, className, year, ...name }: RosterStudentWish): Pick<Student, 'schoolId' | 'prefix' | 'given' | 'middle' | 'family' | 'name' | 'sortedBy' | 'className' | 'year'> {
  return { schoolId, className, year, ...namesOf(name) };
}

function nameAndClass({ name, className }: Pick<RosterStudent, 'name' | 'className'>): string {
  return className === '' ? name : `${name}, ${className}`;
}

function toImportView({ id, fileName, importedAt, changes, undoneAt }: RosterImport, last: boolean): RosterImportView {
  return { id, fileName, importedAt: importedAt.toISOString(), added: changes.added.length, changed: changes.changed.length, left: changes.left.length, undone: undoneAt !== null, undoable: last && undoneAt === null };
}
