import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccessCheckModule } from '../access-check/access-check.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { StationModule } from '../../lessons/station/station.module.js';
import { OpeningScheduleService } from './opening-schedule.service.js';
import { ScheduledOpening } from './scheduled-opening.entity.js';
import { LessonModule } from '../../lessons/lesson/lesson.module.js';
import { ComingLessons } from './coming-lessons.js';

@Module({
  imports: [TypeOrmModule.forFeature([ScheduledOpening]), AccessCheckModule, LessonModule, StationModule, SchoolModule],
  providers: [OpeningScheduleService, ComingLessons],
})
export class OpeningScheduleModule {}
