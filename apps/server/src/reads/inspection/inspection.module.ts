import { Module } from '@nestjs/common';
import { AccessCheckModule } from '../../opens/access-check/access-check.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { ServiceDescriptionModule } from '../../gather/service-description/service-description.module.js';
import { VisitorModule } from '../../school/visitor/visitor.module.js';
import { InspectionController } from './inspection.controller.js';
import { InspectionService } from './inspection.service.js';
import { VisitorInspectionController } from './visitor-inspection.controller.js';
import { VisitorInspectionService } from './visitor-inspection.service.js';
import { MaterialModule } from '../../gather/material/material.module.js';
import { StationModule } from '../../lessons/station/station.module.js';

@Module({
  imports: [MaterialModule, StationModule, SchoolModule, AccessCheckModule, ServiceDescriptionModule, VisitorModule],
  controllers: [InspectionController, VisitorInspectionController],
  providers: [InspectionService, VisitorInspectionService],
})
export class InspectionModule {}
