import { Global, Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { JobModule } from '../../platform/queue/job.module.js';
import { JobService } from '../../platform/queue/job.service.js';
import { ActivityService } from '../activity/activity.service.js';
import { DailyDeletion } from './daily-deletion.js';
import { RetentionController } from './retention.controller.js';
import { RetentionRow } from './retention.entity.js';
import { Retention } from './retention.js';

/** For all areas: each says how its own old records are deleted. */
@Global()
@Module({
  imports: [TypeOrmModule.forFeature([RetentionRow]), JobModule],
  controllers: [RetentionController],
  providers: [Retention, DailyDeletion],
  exports: [Retention],
})
export class RetentionModule {
  /** What can't register itself: it is used by what deletes. */
  constructor(retention: Retention, jobs: JobService, activity: ActivityService) {
    retention.add('jobs', (before) => jobs.deleteFinished(before));
    retention.add('activity', (before) => activity.deleteBefore(before));
  }
}
