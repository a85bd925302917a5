/**
 * The one queue of long work: in the database, shared by all servers, three attempts each. What a kind of work does is
 * said by the noun that owns it (`handle`); a killed server loses nothing, since its leases run out.
 */
import { Inject, Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import { retryingDeadlocks } from '../database/deadlock.js';
import { isDatabaseAway } from '../database/outage.js';
import { errorLine } from '../logging/error-facts.js';
import { LOGGER, type AppLogger } from '../logging/logger.token.js';
import { Loop } from '../loop/loop.js';
import type { JobKind, JobProgress, JobRun, NewJob } from './job-kind.js';
import { JobRows, leaseS } from './job-rows.js';
import type { Job } from './job.entity.js';

/** How often to look for work that came due, or that another server left behind. */
const lookAroundMs = 5_000;
/** How often progress is written down, and whether something was stopped is looked up. */
const beatMs = 1_000;
const beatsPerRenewal = (leaseS * 1_000) / beatMs / 4;
const mostAttempts = 3;
/** After the first failure, the second. */
const waitAfterFailureS = [10, 60] as const;

interface Running {
  readonly job: Job;
  readonly kind: JobKind;
  readonly stop: AbortController;
  progress: JobProgress | null;
  finished: Promise<void>;
}

@Injectable()
export class JobService implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly kinds = new Map<string, JobKind>();
  private readonly running = new Map<string, Running>();
  private readonly looking: Loop;
  private readonly beating: Loop;
  private beats = 0;
  private ended = false;

  constructor(
    private readonly rows: JobRows,
    @Inject(LOGGER) private readonly logger: AppLogger,
  ) {
    this.looking = new Loop(() => this.begin(), { name: 'look for jobs', everyMs: lookAroundMs, logger });
    this.beating = new Loop(() => this.beat(), { name: 'say that jobs are being done', everyMs: beatMs, logger });
  }

  /** Says what jobs of a kind do. Called once for each kind, while the application is built. */
  handle(kind: JobKind): void {
    this.kinds.set(kind.name, kind);
  }

  onApplicationBootstrap(): void {
    for (const loop of [this.looking, this.beating]) loop.start();
  }

  async beforeApplicationShutdown(): Promise<void> {
    this.ended = true;
    await this.looking.stop();
    for (const { stop } of this.running.values()) stop.abort();
    await Promise.all([...this.running.values()].map(({ finished }) => finished));
    await this.beating.stop();
  }

  /** Adds jobs, save those of which one waits or runs already. */
  async enqueue(...requests: readonly NewJob[]): Promise<void> {
    await retryingDeadlocks(() => this.rows.add(requests));
    this.wake();
  }

  /** Ends what waits or runs; here at once, on another server within seconds. Nothing of it is written from now on. */
  async stop(kind: string, subjects: readonly string[]): Promise<void> {
    await retryingDeadlocks(() => this.rows.stop(kind, subjects));
    this.abort(kind, subjects);
  }

  /** What a job works on has become another one: it begins again. */
  async restart(request: NewJob): Promise<void> {
    await retryingDeadlocks(() => this.rows.restart(request));
    this.abort(request.kind, [request.subject]);
    this.wake();
  }

  /** By subject, as far as its last job said so. */
  listProgress(kind: string, subjects: readonly string[]): Promise<ReadonlyMap<string, JobProgress>> {
    return this.rows.listProgress(kind, subjects);
  }

  /** Of work that ended before. @returns how many */
  deleteFinished(before: Date): Promise<number> {
    return this.rows.deleteFinished(before);
  }

  /** Looks for work now. */
  wake(): void {
    this.looking.wake();
  }

  private abort(kind: string, subjects: readonly string[]): void {
    for (const { job, stop } of this.running.values())
      if (job.kind === kind && subjects.includes(job.subject)) stop.abort();
  }

  private async begin(): Promise<void> {
    if (this.ended) return;
    const pooled = new Map([...this.kinds].map(([name, { pool }]) => [name, pool]));
    const here = [...this.running.values()].map(({ job, kind }) => ({ ...job, pool: kind.pool, count: 1 }));
    for (const job of await this.rows.claim(pooled, here)) {
      const kind = this.kinds.get(job.kind);
      if (!kind) continue;
      const one: Running = { job, kind, stop: new AbortController(), progress: null, finished: Promise.resolve() };
      // A job that was put back may be begun here again before its last attempt has ended.
      const key = `${job.id} ${job.claim}`;
      this.running.set(key, one);
      one.finished = this.run(one).finally(() => {
        this.running.delete(key);
        this.wake();
      });
    }
  }

  private async run(one: Running): Promise<void> {
    const { job, kind, stop } = one;
    try {
      if (job.attempts > mostAttempts) return await this.fail(one, 'the server ended three times while it did this');
      await kind.work(this.runOf(one));
      if (!stop.signal.aborted) return await this.rows.finish(job, 'done', null);
      // Ended with the server: somebody else takes it up at once. What was stopped stays so.
      await this.rows.putBack(job, job.attempts - 1, 0, null);
    } catch (error) {
      await this.settleFailure(one, error).catch((reason: unknown) =>
        this.logger.error({ err: reason, job: job.id }, 'could not write a failed job down'),
      );
    }
  }

  private runOf(one: Running): JobRun {
    return {
      subject: one.job.subject,
      stop: one.stop.signal,
      tell: (done, total) => void (one.progress = { done, total }),
      holds: async (manager) => !one.stop.signal.aborted && this.rows.holds(manager, one.job),
    };
  }

  /** Tried again twice, after a while; then it is a visible failure. An outage of the database is no attempt. */
  private async settleFailure(one: Running, error: unknown): Promise<void> {
    const { job, stop } = one;
    if (stop.signal.aborted) return this.rows.putBack(job, job.attempts - 1, 0, null);
    this.logger.warn({ err: error, job: job.id, kind: job.kind, attempt: job.attempts }, 'a job failed');
    const failure = errorLine(error);
    const attempts = isDatabaseAway(error) ? job.attempts - 1 : job.attempts;
    if (attempts >= mostAttempts) return this.fail(one, failure);
    await this.rows.putBack(job, attempts, waitAfterFailureS[attempts - 1] ?? waitAfterFailureS[0], failure);
  }

  private async fail({ job, kind }: Running, failure: string): Promise<void> {
    // Whoever has it now says how it ends.
    if ((await this.rows.listLost([job])).length > 0) return;
    await kind.failed?.(job.subject);
    await this.rows.finish(job, 'failed', failure);
  }

  private async beat(): Promise<void> {
    if (this.running.size === 0) return;
    this.beats += 1;
    const all = [...this.running.values()];
    if (this.beats % beatsPerRenewal === 0) await this.rows.renew(all.map(({ job }) => job));
    for (const one of all) {
      const { progress } = one;
      if (!progress) continue;
      await this.rows.tell(one.job, progress);
      if (one.progress === progress) one.progress = null;
    }
    const lost = await this.rows.listLost(all.map(({ job }) => job));
    for (const { job, stop } of all) if (lost.includes(job)) stop.abort();
  }
}
