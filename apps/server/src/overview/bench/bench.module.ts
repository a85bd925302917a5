import { Module } from '@nestjs/common';
import { ServiceDescriptionModule } from '../../gather/service-description/service-description.module.js';
import { LessonModule } from '../../lessons/lesson/lesson.module.js';
import { StationModule } from '../../lessons/station/station.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { ReadinessModule } from '../readiness/readiness.module.js';
import { BenchController } from './bench.controller.js';
import { BenchService } from './bench.service.js';

@Module({
  imports: [LessonModule, StationModule, ReadinessModule, ServiceDescriptionModule, SchoolModule],
  controllers: [BenchController],
  providers: [BenchService],
})
export class BenchModule {}
