import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { LookModule } from '../../code/look/look.module.js';
import { ReadinessModule } from '../../overview/readiness/readiness.module.js';
import { SchoolClassModule } from '../../school/school-class/school-class.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { ServiceDescriptionModule } from '../../gather/service-description/service-description.module.js';
import { StationModule } from '../station/station.module.js';
import { BenchService } from '../../overview/bench/bench.service.js';
import { LessonController } from './lesson.controller.js';
import { Lesson } from './lesson.entity.js';
import { LessonService } from './lesson.service.js';

@Module({
  imports: [
    TypeOrmModule.forFeature([Lesson]),
    SchoolClassModule,
    StationModule,
    ReadinessModule,
    SchoolModule,
    ServiceDescriptionModule,
    LookModule,
  ],
  controllers: [LessonController],
  providers: [LessonService, BenchService],
  exports: [LessonService],
})
export class LessonModule {}
