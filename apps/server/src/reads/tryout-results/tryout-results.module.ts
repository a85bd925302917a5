import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Retention, rowsBefore } from '../../school/retention/retention.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { Tryout } from './tryout.entity.js';
import { TryoutService } from './tryout.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([Tryout]), SchoolModule],
  providers: [TryoutService],
  exports: [TryoutService],
})
export class TryoutResultsModule {
  constructor(retention: Retention) {
    retention.add('tryouts', rowsBefore('tryouts', 'at'));
  }
}
