/** The end of a school year: classes move up, the last ones leave. Listed with the imports, and undone like one. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { EndYear, RosterImportView } from '@hapset/contract';
import { nextYearName, tidyName, type YearEndMove } from '@hapset/core';
import { In, IsNull, Repository, type EntityManager } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { lockRow } from '../../platform/database/lock-row.js';
import { ProblemError } from '../../platform/problem/problem.js';
import { RosterImport } from './roster-import.entity.js';
import { beforeOf, toImportView } from './roster-record.js';
import { StudentEvents } from './student-events.js';
import { Student } from './student.entity.js';

const atOnce = 500;

@Injectable()
export class YearEndService {
  constructor(
    @InjectRepository(Student) private readonly students: Repository<Student>,
    private readonly events: StudentEvents,
    private readonly clock: Clock,
  ) {}

  /**
   * All of it or nothing, and all classes at once: the seventh that was the sixth does not become the eighth.
   * @throws ProblemError invalid where nobody moves and nobody leaves
   */
  async end(request: EndYear, endedById: string): Promise<RosterImportView> {
    const ended = await this.endTogether(request, endedById);
    if (ended.left > 0) await this.events.left();
    return ended;
  }

  private endTogether({ moves }: EndYear, endedById: string): Promise<RosterImportView> {
    return this.students.manager.transaction(async (manager) => {
      await lockRow(manager, 'rosters');
      const toOf = new Map(moves.map(({ className, to }) => [className, to === null ? null : tidyName(to)]));
      const all = (await manager.findBy(Student, { leftAt: IsNull(), className: In([...toOf.keys()]) })).filter(
        ({ className }) => toOf.has(className) && toOf.get(className) !== className,
      );
      if (all.length === 0)
        throw new ProblemError('invalid', 'Nobody moves to another class, and nobody leaves.', {
          fields: [{ field: 'moves', message: 'changes nothing' }],
        });
      const leaving = all.filter(({ className }) => toOf.get(className) === null);
      const moving = all.filter(({ className }) => toOf.get(className) !== null);
      const changed = await beforeOf(
        manager,
        moving.map(({ id }) => id),
      );
      await this.move(manager, moving, (className) => toOf.get(className) ?? className);
      await this.leave(manager, leaving);
      const row = manager.create(RosterImport, {
        id: newId(),
        importedById: endedById,
        kind: 'year-end',
        fileName: '',
        changes: { added: [], changed, left: leaving.map(({ id, version }) => ({ id, version: version + 1 })) },
        importedAt: this.clock.now(),
        undoneAt: null,
      });
      await manager.insert(RosterImport, row);
      return toImportView(row, true);
    });
  }

  /** What was edited of class and year is over: the school year decides. */
  private async move(
    manager: EntityManager,
    students: readonly Student[],
    toOf: (className: YearEndMove['className']) => string,
  ): Promise<void> {
    for (const group of groupedBy(students, ({ className, year, edited }) =>
      JSON.stringify([className, year, edited]),
    )) {
      const [{ className, year, edited } = { className: '', year: '', edited: {} }] = group;
      const { className: _class, year: _year, ...kept } = edited;
      const columns = { className: toOf(className), year: nextYearName(year), edited: kept };
      for (let from = 0; from < group.length; from += atOnce)
        await manager.update(
          Student,
          { id: In(group.slice(from, from + atOnce).map(({ id }) => id)) },
          { ...columns, version: () => 'version + 1' },
        );
    }
  }

  private async leave(manager: EntityManager, students: readonly Student[]): Promise<void> {
    for (let from = 0; from < students.length; from += atOnce)
      await manager.update(
        Student,
        { id: In(students.slice(from, from + atOnce).map(({ id }) => id)) },
        { leftAt: this.clock.now(), version: () => 'version + 1' },
      );
  }
}

function groupedBy<One>(all: readonly One[], keyOf: (one: One) => string): readonly (readonly One[])[] {
  const groups = new Map<string, One[]>();
  for (const one of all) {
    const group = groups.get(keyOf(one));
    if (group) group.push(one);
    else groups.set(keyOf(one), [one]);
  }
  return [...groups.values()];
}
