import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccessCheck } from '../access-check/access-check.entity.js';
import { AccessCheckModule } from '../access-check/access-check.module.js';
import { Material } from '../material/material.entity.js';
import { SchoolModule } from '../school/school.module.js';
import { ServiceDescriptionModule } from '../service-description/service-description.module.js';
import { VisitorModule } from '../visitor/visitor.module.js';
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
