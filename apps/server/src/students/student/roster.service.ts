/** Rosters: compared with who is known, imported, and undone. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import {
  limits,
  type ImportRoster,
  type RosterComparisonView,
  type RosterImportView,
  type ImportedStudent,
  type RosterUndoView,
} from '@hapset/contract';
import {
  compareRoster,
  sortName,
  wholeName,
  type Known,
  type RosterComparison,
  type RosterStudent,
} from '@hapset/core';
import { In, IsNull, Repository, type EntityManager } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { lockRow } from '../../platform/database/lock-row.js';
import { ComparedRosters } from './compared-rosters.js';
import { RosterImport, type StudentBefore } from './roster-import.entity.js';
import { beforeOf, toImportView, versionsOf } from './roster-record.js';
import { planUndo, requireUndoable, toUndoView } from './roster-undo.js';
import { namesOf } from './student.service.js';
import type { SignedIn } from '../../school/rights/signed-in.js';
import { StudentEvents } from './student-events.js';
import { Student } from './student.entity.js';

const shownNames = 12;
const shownImports = 5;
const atOnce = 500;

/** What an import did to one student. */
export interface ImportAbout {
  readonly importedAt: Date;
  readonly did: 'added' | 'changed' | 'left';
  readonly before: StudentBefore | null;
}

type Comparison = RosterComparison<string, RosterStudent>;

@Injectable()
export class RosterService {
  constructor(
    @InjectRepository(Student) private readonly students: Repository<Student>,
    @InjectRepository(RosterImport) private readonly imports: Repository<RosterImport>,
    private readonly compared: ComparedRosters,
    private readonly events: StudentEvents,
    private readonly clock: Clock,
  ) {}

  /** Keeps it, so that it can be imported without being sent again. */
  async compare(imported: readonly ImportedStudent[], comparedById: string): Promise<RosterComparisonView> {
    const id = await this.compared.keep(imported, comparedById);
    const { added, changed, same, leftOut, kept } = await this.comparison(this.students.manager, imported);
    const told = tellApart([
      ...added,
      ...changed.flatMap(({ before, student }) => [before, student]),
      ...leftOut,
      ...kept,
    ]);
    return {
      id,
      added: added.length,
      changed: changed.length,
      same,
      leftOut: leftOut.length,
      someAdded: added.slice(0, shownNames).map(told),
      someChanged: changed.slice(0, shownNames).map(({ before, student, parts }) => ({
        name: told(student),
        parts,
        before: told(before),
        back: before.left,
      })),
      someLeftOut: leftOut.slice(0, shownNames).map(told),
      kept: kept.length,
      someKept: kept.slice(0, shownNames).map(told),
    };
  }

  /**
   * All of it or nothing, and one import after the other: the same roster twice at once changes nothing the second time.
   * @throws ProblemError not-found for a roster that was not compared by the same person within a day
   */
  async import(request: ImportRoster, importedById: string): Promise<RosterImportView> {
    const imported = await this.importTogether(request, importedById);
    if (imported.left > 0) await this.events.left();
    return imported;
  }

  private importTogether(
    { rosterComparisonId, leave, fileName }: ImportRoster,
    importedById: string,
  ): Promise<RosterImportView> {
    return this.students.manager.transaction(async (manager) => {
      await lockRow(manager, 'rosters');
      const imported = await this.compared.require(manager, rosterComparisonId, importedById);
      const { added, changed, leftOut, marked } = await this.comparison(manager, imported);
      const now = this.clock.now();
      const rows = added.map((student): Partial<Student> => ({
        id: newId(),
        ...columnsOf(student),
        leftAt: null,
        edited: {},
        version: 1,
        createdAt: now,
      }));
      const left = leave ? leftOut.map(({ id }) => id) : [];
      const before = await beforeOf(
        manager,
        [...changed, ...marked].map(({ id }) => id),
      );
      const versions = await versionsOf(manager, left);
      for (let from = 0; from < rows.length; from += atOnce)
        await manager.insert(Student, rows.slice(from, from + atOnce));
      for (const { id, student, edited } of changed)
        await manager.update(
          Student,
          { id },
          { ...columnsOf(student), edited, leftAt: null, version: () => 'version + 1' },
        );
      for (const { id, edited } of marked)
        await manager.update(Student, { id }, { edited, version: () => 'version + 1' });
      if (left.length > 0)
        await manager.update(Student, { id: In(left) }, { leftAt: now, version: () => 'version + 1' });
      const changes = {
        added: rows.map(({ id }) => id as string),
        changed: before,
        left: left.map((id) => ({ id, version: (versions.get(id) ?? 0) + 1 })),
      };
      const row = this.imports.create({
        id: newId(),
        importedById,
        kind: 'roster',
        fileName: fileName.normalize('NFC').slice(0, limits.fileNameLength),
        changes,
        importedAt: now,
        undoneAt: null,
      });
      await manager.insert(RosterImport, row);
      return toImportView(row, true);
    });
  }

  /** The last ones. Only its importer and administrators may undo the newest. */
  async list(who: Pick<SignedIn, 'id' | 'role'>): Promise<readonly RosterImportView[]> {
    const rows = await this.imports.find({ order: { id: 'DESC' }, take: shownImports });
    return rows.map((row, index) =>
      toImportView(row, index === 0 && (row.importedById === who.id || who.role === 'administrator')),
    );
  }

  /** What imports remember of a student, the oldest first; read one after the other, since each may be of a whole school. */
  async listAbout(studentId: string): Promise<readonly ImportAbout[]> {
    const about: ImportAbout[] = [];
    for (const { id } of await this.imports.find({ select: { id: true }, order: { id: 'ASC' } })) {
      const row = await this.imports.findOneBy({ id });
      if (!row) continue;
      const { added, changed, left } = row.changes;
      const before = changed.find((student) => student.id === studentId) ?? null;
      const hasLeft = left.some((entry) => (typeof entry === 'string' ? entry : entry.id) === studentId);
      const did = before ? 'changed' : hasLeft ? 'left' : added.includes(studentId) ? 'added' : null;
      if (did !== null) about.push({ importedAt: row.importedAt, did, before });
    }
    return about;
  }

  /** What undoing would do now. @throws ProblemError not-found, in-use */
  async undoView(id: string): Promise<RosterUndoView> {
    const { manager } = this.students;
    return toUndoView(await planUndo(manager, await requireUndoable(manager, id)));
  }

  /** Restores only what hasn't changed since. @throws ProblemError not-found, in-use for one that another import came after, or that was undone already */
  async undo(id: string): Promise<RosterUndoView> {
    return this.students.manager.transaction(async (manager) => {
      await lockRow(manager, 'rosters');
      const found = await requireUndoable(manager, id);
      const plan = await planUndo(manager, found);
      await manager.update(RosterImport, { id, undoneAt: IsNull() }, { undoneAt: this.clock.now() });
      if (plan.deleted.length > 0) await manager.delete(Student, { id: In(plan.deleted.map((student) => student.id)) });
      for (const { student, before } of plan.restored) {
        const columns =
          before === null
            ? { leftAt: null }
            : {
                ...columnsOf(before),
                edited: before.edited ?? {},
                leftAt: before.leftAt === null ? null : new Date(before.leftAt),
              };
        await manager.update(Student, { id: student.id }, { ...columns, version: () => 'version + 1' });
      }
      return toUndoView(plan);
    });
  }

  private async comparison(manager: EntityManager, imported: readonly ImportedStudent[]): Promise<Comparison> {
    const known = (await manager.find(Student, { order: { id: 'ASC' } })).map(
      ({ leftAt, ...student }): Known<string> => ({ ...student, left: leftAt !== null }),
    );
    return compareRoster(
      known,
      imported.map((student): RosterStudent => ({ ...student, name: wholeName(student), sortedBy: sortName(student) })),
    );
  }
}

function columnsOf({
  schoolId,
  className,
  year,
  ...name
}: ImportedStudent): Pick<
  Student,
  'schoolId' | 'prefix' | 'given' | 'middle' | 'family' | 'name' | 'sortedBy' | 'className' | 'year'
> {
  return { schoolId, className, year, ...namesOf(name) };
}

type Told = Pick<RosterStudent, 'name' | 'className' | 'schoolId'>;

/** Name and class, and the id where several different students have the same of both. */
function tellApart(students: readonly Told[]): (student: Told) => string {
  const ids = new Map<string, Set<string | null>>();
  for (const student of students) {
    const key = nameAndClass(student);
    ids.set(key, (ids.get(key) ?? new Set()).add(student.schoolId));
  }
  return (student) => {
    const told = nameAndClass(student);
    const isNamesake = (ids.get(told)?.size ?? 0) > 1 && student.schoolId !== null;
    return isNamesake ? `${told}, ${student.schoolId}` : told;
  };
}

function nameAndClass({ name, className }: Told): string {
  return className === '' ? name : `${name}, ${className}`;
}
