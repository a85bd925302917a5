/** Writes down what checks found out: without a browser first, and again with what a browser showed. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { Evidence, Judgement } from '@hapset/core';
import { Repository, type EntityManager } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { retryingDeadlocks } from '../../platform/database/deadlock.js';
import type { JobRun } from '../../platform/queue/job-kind.js';
import { JobService } from '../../platform/queue/job.service.js';
import { AccessCheck } from './access-check.entity.js';
import { addViewJob } from './add-checks.js';
import { learntFrom } from './learnt-from.js';
import { ViewRequests } from './view-requests.js';

const detailLength = 500;

/** What one opening found out, before it is written down. */
export interface Outcome {
  readonly evidence: Evidence;
  readonly judgement: Judgement;
  readonly trimmed: AccessCheck['trimmed'];
  readonly picture: Buffer | null;
}

interface Work {
  readonly check: AccessCheck;
  readonly run: JobRun;
}

@Injectable()
export class CheckResults {
  constructor(
    @InjectRepository(AccessCheck) private readonly checks: Repository<AccessCheck>,
    private readonly requests: ViewRequests,
    private readonly jobs: JobService,
    private readonly clock: Clock,
  ) {}

  /** Verdict and what was learnt become visible together; a check that was stopped or taken over meanwhile changes nothing. */
  async finish({ check, run }: Work, { evidence, judgement, trimmed, picture }: Outcome): Promise<void> {
    const view = await this.requests.stateFor(check, evidence, judgement);
    await this.write({ check, run }, { evidence, judgement }, async (manager) => {
      await manager.update(
        AccessCheck,
        { id: check.id },
        {
          state: 'done',
          finishedAt: this.clock.now(),
          trimmed,
          picture,
          pictureBytes: picture?.length ?? null,
          view,
        },
      );
      if (view === 'waiting') await addViewJob(manager, check);
    });
    if (view === 'waiting') this.jobs.wake();
  }

  /**
   * What a browser showed. The verdict changes only where it was given by what it showed.
   * @param found null where the browser showed nothing that can be judged
   */
  async finishView(
    work: Work,
    found: Pick<Outcome, 'evidence' | 'judgement'> | null,
    view: Pick<AccessCheck, 'view' | 'viewKey'>,
  ): Promise<void> {
    await this.write(work, found, async (manager) => {
      await manager.update(AccessCheck, { id: work.check.id }, view);
    });
  }

  private async write(
    { check, run }: Work,
    found: Pick<Outcome, 'evidence' | 'judgement'> | null,
    more: (manager: EntityManager) => Promise<void>,
  ): Promise<void> {
    const learnt = found && learntFrom(check, found.judgement.verdict, found.evidence);
    await retryingDeadlocks(() =>
      this.checks.manager.transaction(async (manager) => {
        if (!(await run.holds(manager))) return;
        if (found) await manager.update(AccessCheck, { id: check.id }, judged(found));
        await more(manager);
        await learnt?.(manager, check.link);
      }),
    );
  }
}

function judged({ evidence, judgement }: Pick<Outcome, 'evidence' | 'judgement'>): Partial<AccessCheck> {
  const reasons = judgement.reasons.map(({ reason, detail }) => ({ reason, detail: detail.slice(0, detailLength) }));
  return { verdict: judgement.verdict, reasons, evidence };
}
