/** Rosters between their comparison and their import. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { ImportedStudent } from '@hapset/contract';
import { In, LessThan, Repository, type EntityManager } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { notFound } from '../../platform/problem/problem.js';
import { ComparedRoster } from './compared-roster.entity.js';

const keptMs = 24 * 3_600_000;
/** Of one person: several pages may be open. */
const mostKept = 5;

@Injectable()
export class ComparedRosters {
  constructor(
    @InjectRepository(ComparedRoster) private readonly rosters: Repository<ComparedRoster>,
    private readonly clock: Clock,
  ) {}

  /** Removes those that can no longer be imported, whoever compared them. */
  async removeOld(): Promise<void> {
    await this.rosters.delete({ comparedAt: LessThan(this.oldest()) });
  }

  /** @returns its id */
  async keep(students: readonly ImportedStudent[], comparedById: string): Promise<string> {
    const comparedAt = this.clock.now();
    const older = await this.rosters.find({
      where: { comparedById },
      select: { id: true },
      order: { id: 'DESC' },
      skip: mostKept - 1,
      take: 100,
    });
    if (older.length > 0) await this.rosters.delete({ id: In(older.map(({ id }) => id)) });
    const id = newId();
    await this.rosters.insert({ id, comparedById, students, comparedAt });
    return id;
  }

  /** @throws ProblemError not-found for what another person compared, and a day later */
  async require(manager: EntityManager, id: string, comparedById: string): Promise<readonly ImportedStudent[]> {
    const found = await manager.findOneBy(ComparedRoster, { id, comparedById });
    if (!found || found.comparedAt < this.oldest()) throw notFound('compared roster');
    return found.students;
  }

  private oldest(): Date {
    return new Date(this.clock.now().getTime() - keptMs);
  }
}
