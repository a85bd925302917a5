import { Module } from '@nestjs/common';
import { LessonModule } from '../../lessons/lesson/lesson.module.js';
import { StationModule } from '../../lessons/station/station.module.js';
import { ReadinessModule } from '../readiness/readiness.module.js';
import { BenchController } from './bench.controller.js';
import { BenchService } from './bench.service.js';
import { MaterialModule } from '../../gather/material/material.module.js';

@Module({
  imports: [LessonModule, StationModule, ReadinessModule, MaterialModule],
  controllers: [BenchController],
  providers: [BenchService],
})
export class BenchModule {}
