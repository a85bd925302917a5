import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Job } from './job.entity.js';
import { JobRows } from './job-rows.js';
import { JobService } from './job.service.js';

@Module({ imports: [TypeOrmModule.forFeature([Job])], providers: [JobService, JobRows], exports: [JobService] })
export class JobModule {}
