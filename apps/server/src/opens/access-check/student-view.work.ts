/** Pages in the queue that are to be seen in a browser, after their plain checks. */
import { Injectable, type OnModuleInit } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { In, Repository } from 'typeorm';
import type { JobRun } from '../../platform/queue/job-kind.js';
import { JobService } from '../../platform/queue/job.service.js';
import { AccessCheck } from './access-check.entity.js';
import { viewJob } from './add-checks.js';
import { CheckResults } from './check-results.js';
import { ViewJudging } from './view-judging.js';
import { ViewPictures } from './view-pictures.js';

const unfinished = In(['waiting', 'drawing'] as const);

@Injectable()
export class StudentViewWork implements OnModuleInit {
  constructor(
    @InjectRepository(AccessCheck) private readonly checks: Repository<AccessCheck>,
    private readonly jobs: JobService,
    private readonly judging: ViewJudging,
    private readonly pictures: ViewPictures,
    private readonly results: CheckResults,
  ) {}

  onModuleInit(): void {
    this.jobs.handle({
      name: viewJob,
      pool: 'browser',
      work: (run) => this.work(run),
      failed: async (id) => void (await this.checks.update({ id, view: unfinished }, { view: 'failed' })),
    });
  }

  /** Ends what waits or runs for those materials. */
  async stop(materialIds: readonly string[]): Promise<void> {
    const where = { materialId: In([...materialIds]), view: unfinished };
    const ids = (await this.checks.find({ where, select: { id: true } })).map(({ id }) => id);
    await this.jobs.stop(viewJob, ids);
    await this.checks.update({ id: In(ids), view: unfinished }, { view: null });
  }

  private async work(run: JobRun): Promise<void> {
    const own = { id: run.subject, view: unfinished };
    await this.checks.update(own, { view: 'drawing' });
    const check = await this.checks.findOne({ where: own, relations: { material: true } });
    if (!check?.evidence) return;
    const seen = await this.judging.see(check, check.evidence, run.stop);
    if (run.stop.aborted) return;
    if (!seen) return this.results.finishView({ check, run }, null, { view: 'no-browser', viewKey: null });
    const { found, picture } = seen;
    // Of a link by itself nobody looks at a picture, and nothing would remove it.
    const viewKey = picture && check.materialId !== null ? await this.pictures.keep(picture) : null;
    await this.results.finishView({ check, run }, found, { view: found ? 'seen' : 'failed', viewKey });
    if (check.materialId !== null) await this.pictures.removeEarlier(check.materialId);
  }
}
