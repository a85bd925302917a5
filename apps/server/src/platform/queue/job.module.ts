import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Job } from './job.entity.js';
import { JobService } from './job.service.js';

@Module({ imports: [TypeOrmModule.forFeature([Job])], providers: [JobService], exports: [JobService] })
export class JobModule {}
