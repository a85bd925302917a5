import { Global, Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { ActivityEntryRow } from './activity-entry.entity.js';
import { ActivityController } from './activity.controller.js';
import { ActivityService } from './activity.service.js';

/** For all areas: each notes what it does for administrators and the office. */
@Global()
@Module({
  imports: [TypeOrmModule.forFeature([ActivityEntryRow])],
  controllers: [ActivityController],
  providers: [ActivityService],
  exports: [ActivityService],
})
export class ActivityModule {}
