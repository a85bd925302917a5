import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { JobModule } from '../../platform/queue/job.module.js';
import { MaterialModule } from '../../gather/material/material.module.js';
import { StationModule } from '../../lessons/station/station.module.js';
import { AskedRehearsalController } from './asked-rehearsal.controller.js';
import { AskedRehearsal } from './asked-rehearsal.entity.js';
import { AskedRehearsalService } from './asked-rehearsal.service.js';
import { RehearsalController } from './rehearsal.controller.js';
import { Rehearsal } from './rehearsal.entity.js';
import { RehearsalService } from './rehearsal.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([Rehearsal, AskedRehearsal]), MaterialModule, StationModule, JobModule],
  controllers: [RehearsalController, AskedRehearsalController],
  providers: [RehearsalService, AskedRehearsalService],
})
export class RehearsalModule {}
