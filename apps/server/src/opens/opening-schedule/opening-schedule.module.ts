import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccessCheckModule } from '../access-check/access-check.module.js';
import { Lesson } from '../../lessons/lesson/lesson.entity.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { StationModule } from '../../lessons/station/station.module.js';
import { OpeningScheduleService } from './opening-schedule.service.js';
import { ScheduledOpening } from './scheduled-opening.entity.js';

@Module({
  imports: [TypeOrmModule.forFeature([Lesson, ScheduledOpening]), AccessCheckModule, StationModule, SchoolModule],
  providers: [OpeningScheduleService],
})
export class OpeningScheduleModule {}
