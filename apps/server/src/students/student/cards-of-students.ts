/** When the last card of each student was printed, since when it is lost, and when a photo was added. Asked of the tables themselves: they belong to other nouns. */
import { Injectable } from '@nestjs/common';
import { DataSource } from 'typeorm';

export interface CardOfStudent {
  readonly madeAt: Date | null;
  /** Null where one was made after it. */
  readonly lostAt: Date | null;
  readonly photoAt: Date | null;
}

@Injectable()
export class CardsOfStudents {
  constructor(private readonly dataSource: DataSource) {}

  async find(studentIds: readonly string[]): Promise<ReadonlyMap<string, CardOfStudent>> {
    if (studentIds.length === 0) return new Map();
    const rows = (await this.dataSource.query(
      `SELECT students.id AS studentId,
         MAX(CASE WHEN printed.replaced_at IS NULL THEN prints.made_at END) AS madeAt,
         MAX(printed.replaced_at) AS lostAt,
         MAX(CASE WHEN schools.student_photos THEN photos.added_at END) AS photoAt
       FROM students
         LEFT JOIN printed_cards printed ON printed.student_id = students.id
         LEFT JOIN prints ON prints.id = printed.print_id
         LEFT JOIN student_photos photos ON photos.student_id = students.id
         LEFT JOIN schools ON schools.id = 1
       WHERE students.id IN (?) GROUP BY students.id`,
      [[...studentIds]],
    )) as { studentId: string; madeAt: Date | null; lostAt: Date | null; photoAt: Date | null }[];
    return new Map(
      rows.map(({ studentId, madeAt, lostAt, photoAt }) => [
        studentId,
        { madeAt, lostAt: madeAt === null ? lostAt : null, photoAt },
      ]),
    );
  }
}
