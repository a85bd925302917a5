import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { RehearsalResultsService } from './rehearsal-results.service.js';
import { Rehearsal } from './rehearsal.entity.js';

@Module({
  imports: [TypeOrmModule.forFeature([Rehearsal])],
  providers: [RehearsalResultsService],
  exports: [RehearsalResultsService],
})
export class RehearsalResultsModule {}
