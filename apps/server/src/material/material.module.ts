import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccessCheckModule } from '../access-check/access-check.module.js';
import { ReadinessModule } from '../readiness/readiness.module.js';
import { SchoolModule } from '../school/school.module.js';
import { ServiceDescriptionModule } from '../service-description/service-description.module.js';
import { Sheet } from '../sheet/sheet.entity.js';
import { MaterialPageService } from './material-page.service.js';
import { MaterialController } from './material.controller.js';
import { Material } from './material.entity.js';
import { MaterialService } from './material.service.js';
import { ShelfService } from './shelf.service.js';
import { TagController } from './tag.controller.js';

@Module({
  imports: [TypeOrmModule.forFeature([Material, Sheet]), AccessCheckModule, ReadinessModule, SchoolModule, ServiceDescriptionModule],
  controllers: [MaterialController, TagController],
  providers: [MaterialService, MaterialPageService, ShelfService],
  exports: [MaterialService, MaterialPageService],
})
export class MaterialModule {}
