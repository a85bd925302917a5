/** The jobs in the database. Every time that is compared is the database's own, so that servers' clocks don't matter. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { In, Repository, type EntityManager } from 'typeorm';
import { newId } from '../database/columns.js';
import { retryingDeadlocks } from '../database/deadlock.js';
import { deleteRows } from '../database/delete-rows.js';
import { lockRow } from '../database/lock-row.js';
import { activeKey, addJobs } from './add-jobs.js';
import { fairTurns, type Running, type Waiting } from './fair-turns.js';
import { pools, type JobProgress, type NewJob, type Pool } from './job-kind.js';
import { Job } from './job.entity.js';

export const leaseS = 60;
const mayBegin = "((state = 'waiting' AND run_at <= NOW(3)) OR (state = 'working' AND lease_until < NOW(3)))";
const unfinished = "state IN ('waiting', 'working')";

export type Claimed = Pick<Job, 'id' | 'claim'>;

@Injectable()
export class JobRows {
  constructor(@InjectRepository(Job) private readonly jobs: Repository<Job>) {}

  /** Leaves out those of which one waits or runs already. */
  async add(requests: readonly NewJob[]): Promise<void> {
    await addJobs(this.jobs.manager, requests);
  }

  /**
   * Takes what may begin now. Servers take turns, so that none goes over the limits.
   * @param pooled the kinds that this server can do, with what they take up
   * @param here what runs on this server
   */
  async claim(
    pooled: ReadonlyMap<string, Pool>,
    here: readonly (Running & { readonly pool: Pool })[],
  ): Promise<readonly Job[]> {
    const kinds = [...pooled.keys()];
    if (kinds.length === 0) return [];
    const claim = newId();
    const taken = await retryingDeadlocks(() =>
      this.jobs.manager.transaction(async (manager) => {
        await lockRow(manager, 'jobs');
        const waiting = await this.listWaiting(manager, kinds);
        if (waiting.length === 0) return 0;
        const everywhere = await this.listRunning(manager, kinds);
        const ids = (Object.keys(pools) as Pool[]).flatMap((pool) => {
          const running = pools[pool].countedOver === 'all servers' ? everywhere : here;
          return fairTurns(
            waiting.filter(({ kind }) => pooled.get(kind) === pool),
            running.filter((one) => ('pool' in one ? one.pool : pooled.get(one.kind)) === pool),
            pools[pool],
          );
        });
        if (ids.length === 0) return 0;
        await manager.query(
          `UPDATE jobs SET state = 'working', claim = ?, lease_until = NOW(3) + INTERVAL ${leaseS} SECOND,
                  attempts = attempts + 1, progress_done = NULL, progress_total = NULL
            WHERE id IN (${marks(ids)}) AND ${mayBegin}`,
          [claim, ...ids],
        );
        return ids.length;
      }),
    );
    return taken === 0 ? [] : this.jobs.find({ where: { claim, state: 'working' }, order: { id: 'ASC' } });
  }

  /** @returns those that are no longer this server's: stopped, or taken over */
  async listLost<T extends Claimed>(claimed: readonly T[]): Promise<readonly T[]> {
    const rows = await this.jobs.find({
      where: { id: In(claimed.map(({ id }) => id)), state: 'working' },
      select: { id: true, claim: true },
    });
    const held = new Map(rows.map(({ id, claim }) => [id, claim]));
    return claimed.filter(({ id, claim }) => held.get(id) !== claim);
  }

  async renew(claimed: readonly Claimed[]): Promise<void> {
    await this.jobs.query(
      `UPDATE jobs SET lease_until = NOW(3) + INTERVAL ${leaseS} SECOND
        WHERE state = 'working' AND (id, claim) IN (${claimed.map(() => '(?, ?)').join(', ')})`,
      claimed.flatMap(({ id, claim }) => [id, claim]),
    );
  }

  async tell({ id, claim }: Claimed, { done, total }: JobProgress): Promise<void> {
    await this.jobs.update({ id, claim: claim ?? '', state: 'working' }, { progressDone: done, progressTotal: total });
  }

  /** Locks the row until the transaction ends. */
  async holds(manager: EntityManager, { id, claim }: Claimed): Promise<boolean> {
    const rows = (await manager.query(
      "SELECT id FROM jobs WHERE id = ? AND claim = ? AND state = 'working' FOR UPDATE",
      [id, claim],
    )) as readonly unknown[];
    return rows.length === 1;
  }

  /** Changes nothing where somebody else took the job over meanwhile, or where it was stopped. */
  async finish(job: Claimed, state: 'done' | 'failed', failure: string | null): Promise<void> {
    await this.settle(job, 'state = ?, active_key = NULL, finished_at = NOW(3), failure = ?', [state, failure]);
  }

  /** @param attempts how many are counted */
  async putBack(job: Claimed, attempts: number, afterS: number, failure: string | null): Promise<void> {
    const changes = "state = 'waiting', attempts = ?, run_at = NOW(3) + INTERVAL ? SECOND, failure = ?";
    await this.settle(job, changes, [attempts, afterS, failure]);
  }

  /** Of those subjects, whatever waits or runs. */
  async stop(kind: string, subjects: readonly string[]): Promise<void> {
    if (subjects.length > 0)
      await this.jobs.query(
        `UPDATE jobs SET state = 'stopped', active_key = NULL, claim = NULL, lease_until = NULL, finished_at = NOW(3)
          WHERE kind = ? AND subject IN (${marks(subjects)}) AND ${unfinished}`,
        [kind, ...subjects],
      );
  }

  /** Whatever runs of it is put back; where none is unfinished, there is a new one. */
  async restart(request: NewJob): Promise<void> {
    await this.jobs.query(
      `UPDATE jobs SET state = 'waiting', claim = NULL, lease_until = NULL, attempts = 0, run_at = NOW(3)
        WHERE active_key = ?`,
      [activeKey(request.kind, request.subject)],
    );
    await this.add([request]);
  }

  /** By subject, of its last job. */
  async listProgress(kind: string, subjects: readonly string[]): Promise<ReadonlyMap<string, JobProgress>> {
    if (subjects.length === 0) return new Map();
    const rows = await this.jobs.find({
      where: { kind, subject: In([...subjects]) },
      select: { subject: true, progressDone: true, progressTotal: true },
      order: { id: 'ASC' },
    });
    return new Map(
      rows.flatMap(({ subject, progressDone: done, progressTotal: total }) =>
        done === null || total === null ? [] : [[subject, { done, total }]],
      ),
    );
  }

  deleteFinished(before: Date): Promise<number> {
    return deleteRows(this.jobs.manager, 'jobs WHERE finished_at < ?', [before]);
  }

  /** Of each owner as many as could begin at once in a lane, so that nobody's crowd hides the others. */
  private async listWaiting(
    manager: EntityManager,
    kinds: readonly string[],
  ): Promise<readonly (Waiting & { readonly kind: string })[]> {
    return (await manager.query(
      `SELECT id, kind, lane, ownerId FROM (
         SELECT id, kind, lane, owner_id AS ownerId, priority,
                ROW_NUMBER() OVER (PARTITION BY kind, lane, owner_id ORDER BY priority DESC, id) AS turn
           FROM jobs WHERE kind IN (${marks(kinds)}) AND ${mayBegin}
       ) AS those WHERE turn <= ? ORDER BY priority DESC, id`,
      [...kinds, Math.max(...Object.values(pools).map(({ atOneLane }) => atOneLane))],
    )) as (Waiting & { readonly kind: string })[];
  }

  private async listRunning(
    manager: EntityManager,
    kinds: readonly string[],
  ): Promise<readonly (Running & { readonly kind: string })[]> {
    const rows = (await manager.query(
      `SELECT kind, lane, owner_id AS ownerId, COUNT(*) AS count FROM jobs
        WHERE kind IN (${marks(kinds)}) AND state = 'working' AND lease_until >= NOW(3) GROUP BY kind, lane, owner_id`,
      [...kinds],
    )) as (Omit<Running, 'count'> & { readonly kind: string; readonly count: string | number })[];
    return rows.map(({ count, ...rest }) => ({ ...rest, count: Number(count) }));
  }

  private async settle({ id, claim }: Claimed, changes: string, values: readonly unknown[]): Promise<void> {
    await retryingDeadlocks(() =>
      this.jobs.query(
        `UPDATE jobs SET ${changes}, lease_until = NULL WHERE id = ? AND claim = ? AND state = 'working'`,
        [...values, id, claim],
      ),
    );
  }
}

function marks(values: readonly unknown[]): string {
  return values.map(() => '?').join(',');
}
