import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccessCheckModule } from '../../opens/access-check/access-check.module.js';
import { LookModule } from '../../code/look/look.module.js';
import { ReadinessModule } from '../../overview/readiness/readiness.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { ServiceDescriptionModule } from '../service-description/service-description.module.js';
import { Sheet } from '../../paper/sheet/sheet.entity.js';
import { FileModule } from '../file/file.module.js';
import { EarlierPage } from '../written-page/earlier-page.entity.js';
import { WrittenPageController } from '../written-page/written-page.controller.js';
import { WrittenPageService } from '../written-page/written-page.service.js';
import { DeviceModule } from '../../school/device/device.module.js';
import { ShortLinkController } from '../../code/short-link/short-link.controller.js';
import { ShortLinkModule } from '../../code/short-link/short-link.module.js';
import { TryoutController } from '../../reads/tryout/tryout.controller.js';
import { KeptViews } from './kept.view.js';
import { MaterialPageService } from '../../overview/material-page/material-page.service.js';
import { MaterialController } from './material.controller.js';
import { Material } from './material.entity.js';
import { MaterialService } from './material.service.js';
import { ShelfService } from '../../overview/shelf/shelf.service.js';
import { TagController } from '../../overview/shelf/tag.controller.js';

@Module({
  imports: [
    TypeOrmModule.forFeature([Material, Sheet, EarlierPage]),
    FileModule,
    AccessCheckModule,
    ReadinessModule,
    SchoolModule,
    ServiceDescriptionModule,
    ShortLinkModule,
    DeviceModule,
    LookModule,
  ],
  controllers: [MaterialController, TagController, WrittenPageController, ShortLinkController, TryoutController],
  providers: [MaterialService, MaterialPageService, ShelfService, KeptViews, WrittenPageService],
  exports: [MaterialService, MaterialPageService, ShelfService],
})
export class MaterialModule {}
