import { Module } from '@nestjs/common';
import { MaterialModule } from '../../gather/material/material.module.js';
import { StationModule } from '../../lessons/station/station.module.js';
import { AccessCheckModule } from '../../opens/access-check/access-check.module.js';
import { ReadinessModule } from '../readiness/readiness.module.js';
import { ShelfController } from './shelf.controller.js';
import { ShelfService } from './shelf.service.js';

@Module({
  imports: [MaterialModule, StationModule, AccessCheckModule, ReadinessModule],
  controllers: [ShelfController],
  providers: [ShelfService],
})
export class ShelfModule {}
