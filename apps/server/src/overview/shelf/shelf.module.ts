import { Module } from '@nestjs/common';
import { MaterialModule } from '../../gather/material/material.module.js';
import { ServiceDescriptionModule } from '../../gather/service-description/service-description.module.js';
import { StationModule } from '../../lessons/station/station.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { ReadinessModule } from '../readiness/readiness.module.js';
import { ShelfController } from './shelf.controller.js';
import { ShelfService } from './shelf.service.js';

@Module({
  imports: [MaterialModule, StationModule, ReadinessModule, ServiceDescriptionModule, SchoolModule],
  controllers: [ShelfController],
  providers: [ShelfService],
})
export class ShelfModule {}
