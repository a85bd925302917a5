/** Asks once a day for the deletion of old records; whichever server is free does it, and only one. */
import { Inject, Injectable } from '@nestjs/common';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { LoopOfServer } from '../../platform/loop/loop-of-server.js';
import { JobService } from '../../platform/queue/job.service.js';
import { Retention } from './retention.js';

const deletionJob = 'delete-old-records';
const hourMs = 3600 * 1000;
const nobodyWaits = -1;

@Injectable()
export class DailyDeletion extends LoopOfServer {
  constructor(
    private readonly retention: Retention,
    private readonly jobs: JobService,
    @Inject(LOGGER) logger: AppLogger,
  ) {
    super(() => this.ask(), { name: 'ask for the deletion of old records', everyMs: hourMs, logger });
    jobs.handle({ name: deletionJob, pool: 'cores', work: () => this.delete() });
  }

  /** Where a day has passed since the last deletion. */
  async ask(): Promise<void> {
    if (await this.retention.isDue())
      await this.jobs.enqueue({ kind: deletionJob, subject: 'all', priority: nobodyWaits });
  }

  /** Another server may have done it since it was asked for. */
  private async delete(): Promise<void> {
    if (await this.retention.isDue()) await this.retention.deleteOld();
  }
}
