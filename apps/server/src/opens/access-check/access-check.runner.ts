/**
 * Works through the checks that wait. Checks are claimed by a conditional update with a lease that is renewed while they
 * run, so several servers can share the work, and what a killed server left behind is taken up again when its lease has
 * run out. No more than so many run at once, at one host and in all, over all servers, and owners take turns.
 */
import { Inject, Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { In, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { retryingDeadlocks } from '../../platform/database/deadlock.js';
import { isDatabaseAway } from '../../platform/database/outage.js';
import { Loop } from '../../platform/loop/loop.js';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { fairTurns, type Waiting } from '../../platform/queue/fair-turns.js';
import { AccessCheck } from './access-check.entity.js';
import { AccessCheckWork, type CheckSurroundings } from './access-check.work.js';

export const runnerLimits = { atOnce: 40, atOneHost: 6 } as const;
const leaseMs = 40_000;
const mostAttempts = 3;
/** A failed check is taken up again when its lease has run out. */
const againAfterMs = 5_000;
/** How often to look for work that another server left behind. */
const lookAroundMs = 5_000;
/** For whom a check runs, in SQL. */
const ownerOf = "COALESCE(m.owner_id, c.asked_by_id, '')";

@Injectable()
export class AccessCheckRunner implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly running = new Map<string, { readonly stop: AbortController; readonly finished: Promise<void> }>();
  private readonly loop: Loop;
  private ended = false;

  constructor(
    @InjectRepository(AccessCheck) private readonly checks: Repository<AccessCheck>,
    private readonly worker: AccessCheckWork,
    private readonly clock: Clock,
    @Inject(LOGGER) private readonly logger: AppLogger,
  ) {
    this.loop = new Loop(() => this.startWhatFits(), { name: 'look for access checks', everyMs: lookAroundMs, logger });
  }

  onApplicationBootstrap(): void {
    this.loop.start();
  }

  async beforeApplicationShutdown(): Promise<void> {
    this.ended = true;
    await this.loop.stop();
    for (const { stop } of this.running.values()) stop.abort();
    await Promise.all([...this.running.values()].map(({ finished }) => finished));
  }

  /** Looks for work now. */
  wake(): void {
    this.loop.wake();
  }

  /** Ends the requests of checks that are stopped in the database. */
  async stopWhatWasStopped(): Promise<void> {
    const stopped = await this.checks.findBy({ id: In([...this.running.keys()]), state: 'stopped' });
    for (const { id } of stopped) this.running.get(id)?.stop.abort();
  }

  private async startWhatFits(): Promise<void> {
    if (this.ended || this.running.size >= runnerLimits.atOnce) return;
    const claimed = await this.claim();
    if (claimed.length === 0) return;
    const surroundings = await this.worker.prepare();
    for (const check of claimed) {
      const stop = new AbortController();
      const finished = this.run(check, surroundings, stop.signal)
        .catch((error: unknown) => this.failed(check, error))
        .catch((error: unknown) =>
          this.logger.error({ err: error, check: check.id }, 'could not write down a failed access check'),
        )
        .finally(() => {
          this.running.delete(check.id);
          this.wake();
        });
      this.running.set(check.id, { stop, finished });
    }
  }

  /** As many as the limits leave room for, in one update; what another server took meanwhile is not among them. */
  private async claim(): Promise<readonly AccessCheck[]> {
    const now = this.clock.now();
    // Whoever began them the third time is gone without a word.
    await this.checks.query(
      `UPDATE access_checks SET state = 'done', finished_at = ?, lease_until = NULL, verdict = 'unknown', reasons = ? WHERE state = 'opening' AND lease_until < ? AND attempts >= ${mostAttempts}`,
      [now, JSON.stringify([{ reason: 'check-failed', detail: '' }]), now],
    );
    const ids = await this.idsThatFit(now);
    if (ids.length === 0) return [];
    const claim = newId();
    await retryingDeadlocks(() =>
      this.checks.query(
        `UPDATE access_checks SET state = 'opening', claim = ?, lease_until = ?, attempts = attempts + 1
       WHERE id IN (${ids.map(() => '?').join(',')}) AND (state = 'waiting' OR (state = 'opening' AND lease_until < ?))`,
        [claim, new Date(now.getTime() + leaseMs), ...ids, now],
      ),
    );
    return this.checks.find({ where: { claim }, relations: { material: true } });
  }

  /** Of each owner as many as could begin at once, so that nobody's crowd hides the others. */
  private async idsThatFit(now: Date): Promise<readonly string[]> {
    const running = (await this.checks.query(
      `SELECT host AS lane, ${ownerOf} AS ownerId, COUNT(*) AS count
         FROM access_checks c LEFT JOIN materials m ON m.id = c.material_id
        WHERE c.state = 'opening' AND c.lease_until >= ? GROUP BY lane, ownerId`,
      [now],
    )) as { lane: string; ownerId: string; count: string | number }[];
    const waiting = (await this.checks.query(
      `SELECT id, lane, ownerId FROM (
         SELECT c.id, c.host AS lane, ${ownerOf} AS ownerId,
                ROW_NUMBER() OVER (PARTITION BY c.host, ${ownerOf} ORDER BY c.id) AS atHost
           FROM access_checks c LEFT JOIN materials m ON m.id = c.material_id
          WHERE c.state = 'waiting' OR (c.state = 'opening' AND c.lease_until < ?)
       ) AS those WHERE atHost <= ? ORDER BY id`,
      [now, runnerLimits.atOneHost],
    )) as Waiting[];
    return fairTurns(
      waiting,
      running.map(({ count, ...rest }) => ({ ...rest, count: Number(count) })),
      { atOnce: runnerLimits.atOnce, atOneLane: runnerLimits.atOneHost },
    );
  }

  /** Tried again twice, after a while; then it is a visible failure. An outage of the database is no try. */
  private async failed(check: AccessCheck, error: unknown): Promise<void> {
    this.logger.error({ err: error, check: check.id, attempt: check.attempts }, 'an access check failed');
    const own = { id: check.id, claim: check.claim ?? '', state: 'opening' as const };
    const again = check.attempts < mostAttempts || isDatabaseAway(error);
    if (!again)
      return void (await this.checks.update(own, {
        state: 'done',
        finishedAt: this.clock.now(),
        leaseUntil: null,
        verdict: 'unknown',
        reasons: [{ reason: 'check-failed', detail: '' }],
      }));
    await this.checks.update(own, {
      leaseUntil: new Date(this.clock.now().getTime() + againAfterMs),
      ...(isDatabaseAway(error) && { attempts: check.attempts - 1 }),
    });
  }

  private async run(check: AccessCheck, surroundings: CheckSurroundings, stop: AbortSignal): Promise<void> {
    const renew = (): Promise<unknown> =>
      this.checks.update(
        { id: check.id, claim: check.claim ?? '', state: 'opening' },
        { leaseUntil: new Date(this.clock.now().getTime() + leaseMs) },
      );
    const renewal = new Loop(renew, {
      name: 'renew the lease of an access check',
      everyMs: leaseMs / 3,
      logger: this.logger,
    }).start();
    try {
      await this.worker.work(check, surroundings, stop);
    } finally {
      await renewal.stop();
    }
    // Ended with the server: somebody else may take it up at once. A check that was stopped on purpose stays so.
    if (stop.aborted)
      await this.checks.update(
        { id: check.id, claim: check.claim ?? '', state: 'opening' },
        { state: 'waiting', claim: null, leaseUntil: null, attempts: check.attempts - 1 },
      );
  }
}
