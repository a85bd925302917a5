import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Material } from '../material/material.entity.js';
import { SchoolModule } from '../school/school.module.js';
import { InspectionController } from './inspection.controller.js';
import { InspectionService } from './inspection.service.js';

@Module({ imports: [TypeOrmModule.forFeature([Material]), SchoolModule], controllers: [InspectionController], providers: [InspectionService] })
export class InspectionModule {}
