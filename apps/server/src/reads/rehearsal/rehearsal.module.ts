import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { JobModule } from '../../platform/queue/job.module.js';
import { MaterialModule } from '../../gather/material/material.module.js';
import { StationModule } from '../../lessons/station/station.module.js';
import { AskedRehearsalController } from './asked-rehearsal.controller.js';
import { AskedRehearsal } from './asked-rehearsal.entity.js';
import { AskedRehearsalService } from './asked-rehearsal.service.js';
import { RehearsalController } from './rehearsal.controller.js';
import { RehearsalService } from './rehearsal.service.js';
import { PlacedCodeModule } from '../placed-code/placed-code.module.js';
import { RehearsalResultsModule } from '../rehearsal-results/rehearsal-results.module.js';

@Module({
  imports: [
    TypeOrmModule.forFeature([AskedRehearsal]),
    PlacedCodeModule,
    RehearsalResultsModule,
    MaterialModule,
    StationModule,
    JobModule,
  ],
  controllers: [RehearsalController, AskedRehearsalController],
  providers: [RehearsalService, AskedRehearsalService],
})
export class RehearsalModule {}
