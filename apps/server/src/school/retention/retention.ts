/**
 * How long records are kept. Each area says for its own records how those before a time are deleted; one job a day
 * deletes them all and reports how many went.
 */
import {
  recordKinds,
  retentionRanges,
  type ChangeRetention,
  type RecordKind,
  type RetentionView,
} from '@hapset/contract';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository, type EntityManager } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { deleteRows } from '../../platform/database/delete-rows.js';
import { stale } from '../../platform/problem/problem.js';
import { RetentionRow } from './retention.entity.js';

const onlyRow = 1;
const dayMs = 24 * 3600 * 1000;

/** @returns how many records went */
export type DeleteBefore = (before: Date, manager: EntityManager) => Promise<number>;

@Injectable()
export class Retention {
  private readonly parts: { readonly kind: RecordKind; readonly deleteBefore: DeleteBefore }[] = [];

  constructor(
    @InjectRepository(RetentionRow) private readonly rows: Repository<RetentionRow>,
    private readonly clock: Clock,
  ) {}

  /** Who keeps records of a kind, registers when the server starts. */
  add(kind: RecordKind, deleteBefore: DeleteBefore): void {
    this.parts.push({ kind, deleteBefore });
  }

  async view(): Promise<RetentionView> {
    const { days, deleted, deletedAt, version } = await this.row();
    return {
      days: forEachKind((kind) => days[kind] ?? retentionRanges[kind].usual),
      last: deletedAt && { at: deletedAt.toISOString(), deleted: forEachKind((kind) => deleted[kind] ?? 0) },
      version,
    };
  }

  /** Holds from the next deletion on. @throws ProblemError stale */
  async change({ days, version }: ChangeRetention): Promise<RetentionView> {
    await this.row();
    const { affected } = await this.rows.update({ id: onlyRow, version }, { days, version: version + 1 });
    if (affected !== 1) throw stale('retention');
    return this.view();
  }

  /** Whether a day has passed since the last deletion by any server. */
  async isDue(): Promise<boolean> {
    const { deletedAt } = await this.row();
    return deletedAt === null || deletedAt.getTime() <= this.clock.now().getTime() - dayMs;
  }

  /** Tries every kind, also after one failed. @throws the first error, after all were tried */
  async deleteOld(): Promise<void> {
    const { days } = await this.view();
    const now = this.clock.now();
    const deleted: Record<RecordKind, number> = forEachKind(() => 0);
    const errors: unknown[] = [];
    for (const { kind, deleteBefore } of this.parts) {
      const before = new Date(now.getTime() - days[kind] * dayMs);
      try {
        deleted[kind] += await deleteBefore(before, this.rows.manager);
      } catch (error) {
        errors.push(error);
      }
    }
    if (errors.length > 0) throw errors[0];
    await this.rows.update({ id: onlyRow }, { deleted, deletedAt: now });
  }

  private row(): Promise<RetentionRow> {
    return this.rows.findOneByOrFail({ id: onlyRow });
  }
}

function forEachKind(valueOf: (kind: RecordKind) => number): Record<RecordKind, number> {
  return Object.fromEntries(recordKinds.map((kind) => [kind, valueOf(kind)])) as Record<RecordKind, number>;
}

/** Rows with a time. @param table and time column of our own, never of a request */
export function rowsBefore(table: string, timeColumn: string): DeleteBefore {
  return (before, manager) => deleteRows(manager, `${table} WHERE ${timeColumn} < ?`, [before]);
}
