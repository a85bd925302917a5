import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccessCheckModule } from '../../opens/access-check/access-check.module.js';
import { DeviceModule } from '../../school/device/device.module.js';
import { LookModule } from '../../code/look/look.module.js';
import { Rehearsal } from '../../reads/rehearsal/rehearsal.entity.js';
import { SchoolClassModule } from '../../school/school-class/school-class.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { LastSheets } from '../../paper/sheet/last-sheets.js';
import { ShortLink } from '../../code/short-link/short-link.entity.js';
import { Sheet } from '../../paper/sheet/sheet.entity.js';
import { SymbolModule } from '../../code/symbol/symbol.module.js';
import { ReadinessService } from './readiness.service.js';

@Module({
  imports: [
    TypeOrmModule.forFeature([Rehearsal, Sheet, ShortLink]),
    AccessCheckModule,
    DeviceModule,
    SchoolClassModule,
    SchoolModule,
    SymbolModule,
    LookModule,
  ],
  providers: [ReadinessService, LastSheets],
  exports: [ReadinessService],
})
export class ReadinessModule {}
