import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccessCheckModule } from '../access-check/access-check.module.js';
import { DeviceModule } from '../device/device.module.js';
import { LookModule } from '../look/look.module.js';
import { Rehearsal } from '../rehearsal/rehearsal.entity.js';
import { SchoolClassModule } from '../school-class/school-class.module.js';
import { SchoolModule } from '../school/school.module.js';
import { LastSheets } from '../sheet/last-sheets.js';
import { ShortLink } from '../short-link/short-link.entity.js';
import { Sheet } from '../sheet/sheet.entity.js';
import { SymbolModule } from '../symbol/symbol.module.js';
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
