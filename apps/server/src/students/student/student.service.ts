/** The school's students: found, changed, exported in open formats, and marked as left. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import {
  limits,
  type ChangeStudent,
  type LeaveStudents,
  type StudentGroups,
  type StudentsPage,
  type StudentView,
} from '@hapset/contract';
import { editedByHand, sortName, tidyName, wholeName } from '@hapset/core';
import { In, IsNull, Repository, type SelectQueryBuilder, Not } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { notFound, ProblemError, stale } from '../../platform/problem/problem.js';
import { CardsOfStudents } from './cards-of-students.js';
import { Student } from './student.entity.js';
import type { VisibleClasses } from './student-visibility.js';
import { StudentEvents } from './student-events.js';
import { toStudentView } from './student.view.js';
import { given } from '../../platform/database/given.js';

/** Longer than any class may be called. */
const notAClass = '-'.repeat(61);

export interface StudentsRequest {
  readonly find: string;
  readonly className: string | null;
  readonly year: string | null;
  /** Those who left instead of those who are there. */
  readonly left: boolean;
  readonly visible: VisibleClasses;
  readonly after: string | null;
}

export type StudentOnCard = Pick<Student, 'id' | 'name' | 'className' | 'schoolId' | 'year'>;

@Injectable()
export class StudentService {
  constructor(
    @InjectRepository(Student) private readonly students: Repository<Student>,
    private readonly cards: CardsOfStudents,
    private readonly events: StudentEvents,
    private readonly clock: Clock,
  ) {}

  async page(request: StudentsRequest): Promise<StudentsPage> {
    const query = this.find(request);
    const total = await query.getCount();
    const from = request.after === null ? null : await this.students.findOneBy({ id: request.after });
    if (from)
      query.andWhere('(student.className, student.sortedBy, student.id) > (:className0, :sortedBy0, :id0)', {
        className0: from.className,
        sortedBy0: from.sortedBy,
        id0: from.id,
      });
    const rows = await query.limit(limits.studentsPage + 1).getMany();
    const shown = rows.slice(0, limits.studentsPage);
    return {
      rows: await this.views(shown),
      next: rows.length > shown.length ? (shown.at(-1)?.id ?? null) : null,
      total,
    };
  }

  /** By class and name. */
  async all(request: Omit<StudentsRequest, 'after'>): Promise<readonly Student[]> {
    return this.find(request).getMany();
  }

  /** Those with that id of the school's; several where a school gave it twice. */
  listBySchoolId(schoolId: string): Promise<readonly Student[]> {
    return this.students.findBy({ schoolId });
  }

  /** Ids of a class, or of all who left. */
  async listIds(group: { readonly className: string } | 'left'): Promise<readonly string[]> {
    const rows = await this.students.find({
      where: group === 'left' ? { leftAt: Not(IsNull()) } : group,
      select: { id: true },
    });
    return rows.map(({ id }) => id);
  }

  /** The same with what a card needs, and no more: rows of a whole school are made into objects in no time. */
  async lean(request: Omit<StudentsRequest, 'after'>): Promise<readonly StudentOnCard[]> {
    return this.find(request)
      .select([
        'student.id AS id',
        'student.name AS name',
        'student.class_name AS className',
        'student.school_id AS schoolId',
        'student.year AS year',
      ])
      .getRawMany<StudentOnCard>();
  }

  async groups(visible: VisibleClasses): Promise<StudentGroups> {
    const among = visible === null ? '' : 'AND class_name IN (?)';
    // No class at all is none of the names.
    const names = visible === null ? [] : [[...visible, '']];
    const count = async (column: 'class_name' | 'year'): Promise<StudentGroups['classes']> => {
      const rows = (await this.students.query(
        `SELECT ${column} AS name, COUNT(*) AS students FROM students WHERE left_at IS NULL AND ${column} <> '' ${among} GROUP BY ${column} ORDER BY ${column}`,
        names,
      )) as { name: string; students: string }[];
      return rows.map(({ name, students }) => ({ name, students: Number(students) }));
    };
    const where = visible === null ? {} : { className: In([...visible]) };
    const [classes, years, students, all] = [
      await count('class_name'),
      await count('year'),
      await this.students.countBy({ ...where, leftAt: IsNull() }),
      await this.students.countBy(where),
    ];
    return { classes, years, students, left: all - students };
  }

  /** @throws ProblemError not-found */
  async require(id: string): Promise<Student> {
    const found = await this.students.findOneBy({ id });
    if (!found) throw notFound('student');
    return found;
  }

  async view(id: string): Promise<StudentView> {
    const [view] = await this.views([await this.require(id)]);
    return view as StudentView;
  }

  /**
   * What is changed is marked as edited, so that later rosters leave it, until it is what the roster says.
   * @throws ProblemError not-found, stale, invalid for a name of nothing
   */
  async change(id: string, { version, left, ...fields }: ChangeStudent): Promise<StudentView> {
    const before = await this.require(id);
    const after = withFields(before, fields);
    if (!/[\p{L}\p{N}]/u.test(after.name))
      throw new ProblemError('invalid', 'A student needs a name.', {
        fields: [{ field: 'name', message: 'is empty' }],
      });
    const { schoolId, className, year } = after;
    const { affected } = await this.students.update(
      { id, version },
      {
        ...namesOf(after),
        ...{ schoolId, className, year },
        edited: editedByHand(before, after, before.edited),
        ...given({ leftAt: left === undefined ? undefined : left ? (before.leftAt ?? this.clock.now()) : null }),
        version: version + 1,
      },
    );
    if (affected !== 1) throw stale('student');
    if (left === true) await this.events.left();
    return this.view(id);
  }

  /** All of a class leave, as at the end of a year. */
  async leave(className: string): Promise<StudentGroups> {
    await this.students.update({ className, leftAt: IsNull() }, { leftAt: this.clock.now() });
    await this.events.left();
    return this.groups(null);
  }

  /** They leave together, or are back. Who has left already stays as they are. */
  async leaveTogether({ studentIds, left }: LeaveStudents): Promise<StudentGroups> {
    await this.students.update(
      { id: In([...studentIds]), leftAt: left ? IsNull() : Not(IsNull()) },
      { leftAt: left ? this.clock.now() : null },
    );
    if (left) await this.events.left();
    return this.groups(null);
  }

  async byIds(ids: readonly string[]): Promise<readonly Student[]> {
    return ids.length === 0 ? [] : this.students.findBy({ id: In([...ids]) });
  }

  private async views(rows: readonly Student[]): Promise<readonly StudentView[]> {
    const cards = await this.cards.find(rows.map(({ id }) => id));
    return rows.map((row) => toStudentView(row, cards.get(row.id)));
  }

  private find({ find, className, year, left, visible }: Omit<StudentsRequest, 'after'>): SelectQueryBuilder<Student> {
    const query = this.students
      .createQueryBuilder('student')
      .where(left ? 'student.leftAt IS NOT NULL' : 'student.leftAt IS NULL');
    if (visible !== null)
      query.andWhere('student.className IN (:...visible)', {
        visible: visible.length === 0 ? [notAClass] : [...visible],
      });
    if (className !== null) query.andWhere('student.className = :className', { className });
    if (year !== null) query.andWhere('student.year = :year', { year });
    const words = find
      .normalize('NFC')
      .trim()
      .split(/\s+/)
      .filter((word) => word !== '')
      .slice(0, 6);
    words.forEach((word, index) => {
      query.andWhere(
        `(student.name LIKE :word${index} OR student.schoolId LIKE :word${index} OR student.className LIKE :word${index})`,
        { [`word${index}`]: `%${word.replace(/[\\%_]/g, '\\$&')}%` },
      );
    });
    return query.orderBy('student.className').addOrderBy('student.sortedBy').addOrderBy('student.id');
  }
}

/** Fields without a value stay as they are. */
function withFields(
  student: Student,
  { name, className, year, schoolId }: Pick<ChangeStudent, 'name' | 'className' | 'year' | 'schoolId'>,
): Student {
  return {
    ...student,
    ...(name !== undefined && namesOf(name)),
    ...given({
      className: className === undefined ? undefined : tidyName(className),
      year: year === undefined ? undefined : tidyName(year),
      schoolId: schoolId && (tidyName(schoolId) || null),
    }),
  };
}

/** All columns that follow from a name. */
export function namesOf(
  parts: Pick<Student, 'prefix' | 'given' | 'middle' | 'family'>,
): Pick<Student, 'prefix' | 'given' | 'middle' | 'family' | 'name' | 'sortedBy'> {
  const [prefix, given, middle, family] = [parts.prefix, parts.given, parts.middle, parts.family].map(tidyName) as [
    string,
    string,
    string,
    string,
  ];
  const tidy = { prefix, given, middle, family };
  return { ...tidy, name: wholeName(tidy), sortedBy: sortName(tidy) };
}
