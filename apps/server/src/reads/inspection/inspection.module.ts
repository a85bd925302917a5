import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccessCheck } from '../../opens/access-check/access-check.entity.js';
import { AccessCheckModule } from '../../opens/access-check/access-check.module.js';
import { Material } from '../../gather/material/material.entity.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { ServiceDescriptionModule } from '../../gather/service-description/service-description.module.js';
import { VisitorModule } from '../../school/visitor/visitor.module.js';
import { InspectionController } from './inspection.controller.js';
import { InspectionService } from './inspection.service.js';
import { VisitorInspectionController } from './visitor-inspection.controller.js';
import { VisitorInspectionService } from './visitor-inspection.service.js';

@Module({
  imports: [
    TypeOrmModule.forFeature([Material, AccessCheck]),
    SchoolModule,
    AccessCheckModule,
    ServiceDescriptionModule,
    VisitorModule,
  ],
  controllers: [InspectionController, VisitorInspectionController],
  providers: [InspectionService, VisitorInspectionService],
})
export class InspectionModule {}
