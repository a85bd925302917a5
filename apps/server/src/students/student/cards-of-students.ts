/** When the last card of each student was printed, or since when it is lost. */
import { Injectable } from '@nestjs/common';
import { DataSource } from 'typeorm';

export interface CardOfStudent {
  readonly madeAt: Date | null;
  /** Null where one was made after it. */
  readonly lostAt: Date | null;
}

@Injectable()
export class CardsOfStudents {
  constructor(private readonly dataSource: DataSource) {}

  /** Those who never had one are left out. */
  async find(studentIds: readonly string[]): Promise<ReadonlyMap<string, CardOfStudent>> {
    if (studentIds.length === 0) return new Map();
    const rows = (await this.dataSource.query(
      `SELECT printed.student_id AS studentId,
         MAX(CASE WHEN printed.replaced_at IS NULL THEN prints.made_at END) AS madeAt,
         MAX(printed.replaced_at) AS lostAt
       FROM printed_cards printed JOIN prints ON prints.id = printed.print_id
       WHERE printed.student_id IN (?) GROUP BY printed.student_id`,
      [[...studentIds]],
    )) as { studentId: string; madeAt: Date | null; lostAt: Date | null }[];
    return new Map(
      rows.map(({ studentId, madeAt, lostAt }) => [studentId, { madeAt, lostAt: madeAt === null ? lostAt : null }]),
    );
  }
}
