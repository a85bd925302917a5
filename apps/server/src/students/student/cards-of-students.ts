/** When the last card of each student was printed. */
import { Injectable } from '@nestjs/common';
import { DataSource } from 'typeorm';

@Injectable()
export class CardsOfStudents {
  constructor(private readonly dataSource: DataSource) {}

  async madeAt(studentIds: readonly string[]): Promise<ReadonlyMap<string, Date>> {
    if (studentIds.length === 0) return new Map();
    const rows = (await this.dataSource.query(
      `SELECT printed.student_id AS studentId, MAX(prints.made_at) AS madeAt FROM printed_cards printed JOIN prints ON prints.id = printed.print_id
       WHERE printed.student_id IN (?) AND printed.replaced_at IS NULL GROUP BY printed.student_id`,
      [[...studentIds]],
    )) as { studentId: string; madeAt: Date }[];
    return new Map(rows.map(({ studentId, madeAt }) => [studentId, madeAt]));
  }
}
