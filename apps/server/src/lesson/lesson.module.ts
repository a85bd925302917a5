import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { LookModule } from '../look/look.module.js';
import { ReadinessModule } from '../readiness/readiness.module.js';
import { SchoolClassModule } from '../school-class/school-class.module.js';
import { SchoolModule } from '../school/school.module.js';
import { ServiceDescriptionModule } from '../service-description/service-description.module.js';
import { StationModule } from '../station/station.module.js';
import { BenchService } from './bench.service.js';
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
