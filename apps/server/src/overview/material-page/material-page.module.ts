import { Module } from '@nestjs/common';
import { ShortLinkModule } from '../../code/short-link/short-link.module.js';
import { MaterialModule } from '../../gather/material/material.module.js';
import { ServiceDescriptionModule } from '../../gather/service-description/service-description.module.js';
import { StationModule } from '../../lessons/station/station.module.js';
import { SheetModule } from '../../paper/sheet/sheet.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { ReadinessModule } from '../readiness/readiness.module.js';
import { MaterialPageController } from './material-page.controller.js';
import { MaterialPageService } from './material-page.service.js';

@Module({
  imports: [
    MaterialModule,
    StationModule,
    ReadinessModule,
    SheetModule,
    ShortLinkModule,
    ServiceDescriptionModule,
    SchoolModule,
  ],
  controllers: [MaterialPageController],
  providers: [MaterialPageService],
})
export class MaterialPageModule {}
