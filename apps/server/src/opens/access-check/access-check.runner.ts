/** Checks in the queue: what waits for its turn at a host, what begins, and what is shown where it failed three times. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { In, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { retryingDeadlocks } from '../../platform/database/deadlock.js';
import type { JobRun } from '../../platform/queue/job-kind.js';
import { JobService } from '../../platform/queue/job.service.js';
import { AccessCheck } from './access-check.entity.js';
import { addChecks, checkJob, type NewCheck } from './add-checks.js';
import { AccessCheckWork } from './access-check.work.js';
import { StudentViewWork } from './student-view.work.js';

@Injectable()
export class AccessCheckRunner {
  constructor(
    @InjectRepository(AccessCheck) private readonly checks: Repository<AccessCheck>,
    private readonly worker: AccessCheckWork,
    private readonly views: StudentViewWork,
    private readonly jobs: JobService,
    private readonly clock: Clock,
  ) {
    jobs.handle({
      name: checkJob,
      pool: 'network',
      work: (run) => this.run(run),
      failed: (id) => this.fail(id),
    });
  }

  async enqueue(requests: readonly NewCheck[]): Promise<void> {
    const askedAt = this.clock.now();
    await retryingDeadlocks(() => this.checks.manager.transaction((manager) => addChecks(manager, requests, askedAt)));
    this.jobs.wake();
  }

  /** Ends what waits or runs for those materials; what was found out before stays. */
  async stop(materialIds: readonly string[]): Promise<void> {
    const where = { materialId: In([...materialIds]), state: In(['waiting', 'opening'] as const) };
    const ids = (await this.checks.find({ where, select: { id: true } })).map(({ id }) => id);
    await this.jobs.stop(checkJob, ids);
    await this.views.stop(materialIds);
    await this.checks.update(
      { id: In(ids), state: In(['waiting', 'opening']) },
      { state: 'stopped', finishedAt: this.clock.now() },
    );
  }

  private async run(run: JobRun): Promise<void> {
    const own = { id: run.subject, state: In(['waiting', 'opening'] as const) };
    await this.checks.update(own, { state: 'opening' });
    const check = await this.checks.findOne({ where: own, relations: { material: true } });
    if (check) await this.worker.work(check, run);
  }

  private async fail(id: string): Promise<void> {
    await this.checks.update(
      { id, state: In(['waiting', 'opening']) },
      {
        state: 'done',
        finishedAt: this.clock.now(),
        verdict: 'unknown',
        reasons: [{ reason: 'check-failed', detail: '' }],
      },
    );
  }
}
