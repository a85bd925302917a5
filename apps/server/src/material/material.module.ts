import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccessCheckModule } from '../access-check/access-check.module.js';
import { ReadinessModule } from '../readiness/readiness.module.js';
import { SchoolModule } from '../school/school.module.js';
import { ServiceDescriptionModule } from '../service-description/service-description.module.js';
import { Sheet } from '../sheet/sheet.entity.js';
import { FileModule } from '../file/file.module.js';
import { EarlierPage } from '../written-page/earlier-page.entity.js';
import { WrittenPageController } from '../written-page/written-page.controller.js';
import { WrittenPageService } from '../written-page/written-page.service.js';
import { KeptViews } from './kept.view.js';
import { MaterialPageService } from './material-page.service.js';
import { MaterialController } from './material.controller.js';
import { Material } from './material.entity.js';
import { MaterialService } from './material.service.js';
import { ShelfService } from './shelf.service.js';
import { TagController } from './tag.controller.js';

@Module({
  imports: [TypeOrmModule.forFeature([Material, Sheet, EarlierPage]), FileModule, AccessCheckModule, ReadinessModule, SchoolModule, ServiceDescriptionModule],
  controllers: [MaterialController, TagController, WrittenPageController],
  providers: [MaterialService, MaterialPageService, ShelfService, KeptViews, WrittenPageService],
  exports: [MaterialService, MaterialPageService],
})
export class MaterialModule {}
