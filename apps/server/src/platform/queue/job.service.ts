/**
 * Long work in the database: claimed by a conditional update with a lease that is renewed while it runs, so that several
 * servers share it and a killed one loses nothing. What each kind does is said by the noun that owns it (`handle`).
 */
import { Inject, Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { Clock } from '../clock/clock.js';
import { newId } from '../database/columns.js';
import { errorLine } from '../logging/error-facts.js';
import { Loop } from '../loop/loop.js';
import { retryingDeadlocks } from '../database/deadlock.js';
import { LOGGER, type AppLogger } from '../logging/logger.token.js';
import { Job } from './job.entity.js';

/**
 * @param stop fires when the job was stopped or the server ends
 * @param last whether a failure is the final one
 */
export type JobHandler = (subject: string, stop: AbortSignal, last: boolean) => Promise<void>;

const atOnce = 2;
const leaseMs = 60_000;
const lookAroundMs = 5_000;
const mostAttempts = 3;
/** After the first failure, the second. */
const waitAfterFailureMs = [10_000, 60_000] as const;

@Injectable()
export class JobService implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly handlers = new Map<string, JobHandler>();
  private readonly givenUp = new Map<string, (subject: string) => Promise<void>>();
  private readonly running = new Map<string, { readonly stop: AbortController; readonly finished: Promise<void> }>();
  private readonly loop: Loop;
  private ended = false;

  constructor(
    @InjectRepository(Job) private readonly jobs: Repository<Job>,
    private readonly clock: Clock,
    @Inject(LOGGER) private readonly logger: AppLogger,
  ) {
    this.loop = new Loop(() => this.claimUntilFull(), { name: 'look for jobs', everyMs: lookAroundMs, logger });
  }

  /**
   * Says what jobs of a kind do. Called once for each kind, while the application is built.
   * @param givenUp makes the failure visible where servers ended three times while they worked on it
   */
  handle(
    kind: string,
    handler: JobHandler,
    givenUp: (subject: string) => Promise<void> = () => Promise.resolve(),
  ): void {
    this.handlers.set(kind, handler);
    this.givenUp.set(kind, givenUp);
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

  /** Adds a job, unless one of that kind waits or works on the same already. */
  async enqueue(kind: string, subject: string, runAt = this.clock.now()): Promise<void> {
    const row = {
      id: newId(),
      kind,
      subject,
      activeKey: `${kind} ${subject}`,
      state: 'waiting' as const,
      runAt,
      attempts: 0,
      failure: null,
      createdAt: this.clock.now(),
    };
    await retryingDeadlocks(() => this.jobs.createQueryBuilder().insert().values(row).orIgnore().execute());
    this.wake();
  }

  /** Looks for work now. */
  wake(): void {
    this.loop.wake();
  }

  private async claimUntilFull(): Promise<void> {
    while (!this.ended && this.running.size < atOnce) {
      const job = await this.claim();
      if (!job) return;
      const stop = new AbortController();
      const finished = this.work(job, stop.signal).finally(() => {
        this.running.delete(job.id);
        this.wake();
      });
      this.running.set(job.id, { stop, finished });
    }
  }

  private async claim(): Promise<Job | null> {
    const kinds = [...this.handlers.keys()];
    if (kinds.length === 0) return null;
    const now = this.clock.now();
    const claim = newId();
    await retryingDeadlocks(() =>
      this.jobs.query(
        `UPDATE jobs SET state = 'working', claim = ?, lease_until = ?, attempts = attempts + 1
       WHERE kind IN (${kinds.map(() => '?').join(',')}) AND run_at <= ? AND (state = 'waiting' OR (state = 'working' AND lease_until < ?)) ORDER BY run_at, id LIMIT 1`,
        [claim, new Date(now.getTime() + leaseMs), ...kinds, now, now],
      ),
    );
    return this.jobs.findOneBy({ claim, state: 'working' });
  }

  private async work(job: Job, stop: AbortSignal): Promise<void> {
    const renewal = new Loop(() => this.renew(job), {
      name: 'renew the lease of a job',
      everyMs: leaseMs / 3,
      logger: this.logger,
    }).start();
    try {
      if (job.attempts > mostAttempts) return await this.giveUp(job);
      const handler = this.handlers.get(job.kind);
      await handler?.(job.subject, stop, job.attempts >= mostAttempts);
      // Ended with the server: somebody else takes it up at once.
      if (stop.aborted) await this.settle(job, { state: 'waiting', leaseUntil: null });
      else
        await this.settle(job, {
          state: 'done',
          activeKey: null,
          leaseUntil: null,
          finishedAt: this.clock.now(),
          failure: null,
        });
    } catch (error) {
      await this.failed(job, error, stop.aborted).catch((reason: unknown) =>
        this.logger.error({ err: reason, job: job.id }, 'could not write a failed job down'),
      );
    } finally {
      await renewal.stop();
    }
  }

  /** It was begun three times and never ended. */
  private async giveUp(job: Job): Promise<void> {
    await this.givenUp.get(job.kind)?.(job.subject);
    await this.settle(job, {
      state: 'failed',
      activeKey: null,
      leaseUntil: null,
      finishedAt: this.clock.now(),
      failure: 'the server ended three times while it worked on this',
    });
  }

  private async failed(job: Job, error: unknown, aborted: boolean): Promise<void> {
    this.logger.warn({ err: error, job: job.id, kind: job.kind, attempt: job.attempts }, 'a job failed');
    const failure = errorLine(error);
    const now = this.clock.now();
    if (aborted) return this.settle(job, { state: 'waiting', leaseUntil: null, failure });
    if (job.attempts >= mostAttempts)
      return this.settle(job, { state: 'failed', activeKey: null, leaseUntil: null, finishedAt: now, failure });
    const wait = waitAfterFailureMs[job.attempts - 1] ?? 60_000;
    await this.settle(job, { state: 'waiting', leaseUntil: null, failure, runAt: new Date(now.getTime() + wait) });
  }

  private async renew({ id, claim }: Job): Promise<void> {
    await this.jobs.update(
      { id, claim: claim ?? '', state: 'working' },
      { leaseUntil: new Date(this.clock.now().getTime() + leaseMs) },
    );
  }

  /** Changes nothing where somebody else took the job over meanwhile. */
  private async settle({ id, claim }: Job, change: Partial<Job>): Promise<void> {
    await retryingDeadlocks(() => this.jobs.update({ id, claim: claim ?? '', state: 'working' }, change));
  }
}
