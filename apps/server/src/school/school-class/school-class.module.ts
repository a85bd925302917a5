import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { DeviceModule } from '../device/device.module.js';
import { SchoolClassController } from './school-class.controller.js';
import { SchoolClass } from './school-class.entity.js';
import { SchoolClassService } from './school-class.service.js';
import { ClassEquipment } from './class-equipment.js';

@Module({
  imports: [TypeOrmModule.forFeature([SchoolClass]), DeviceModule],
  controllers: [SchoolClassController],
  providers: [SchoolClassService, ClassEquipment],
  exports: [SchoolClassService, ClassEquipment],
})
export class SchoolClassModule {}
