import { Module } from '@nestjs/common';
import { ShortLinkModule } from '../../code/short-link/short-link.module.js';
import { MaterialModule } from '../../gather/material/material.module.js';
import { StationModule } from '../../lessons/station/station.module.js';
import { SheetModule } from '../../paper/sheet/sheet.module.js';
import { ReadinessModule } from '../readiness/readiness.module.js';
import { MaterialPageController } from './material-page.controller.js';
import { MaterialPageService } from './material-page.service.js';
import { AccessCheckModule } from '../../opens/access-check/access-check.module.js';

@Module({
  imports: [MaterialModule, StationModule, ReadinessModule, SheetModule, ShortLinkModule, AccessCheckModule],
  controllers: [MaterialPageController],
  providers: [MaterialPageService],
})
export class MaterialPageModule {}
