import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Retention } from '../../school/retention/retention.js';
import { Handover, rowsOf } from '../../school/staff/handover.js';
import { JobModule } from '../../platform/queue/job.module.js';
import { LessonModule } from '../../lessons/lesson/lesson.module.js';
import { LookModule } from '../../code/look/look.module.js';
import { MaterialModule } from '../../gather/material/material.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { StorageModule } from '../../platform/storage/storage.module.js';
import { StationModule } from '../../lessons/station/station.module.js';
import { PrintController } from './print.controller.js';
import { Print } from './print.entity.js';
import { PrintOrders } from './print-orders.js';
import { PrintDrawing } from './print-drawing.js';
import { PrintService } from './print.service.js';
import { SheetPictures } from './sheet-pictures.js';
import { SheetPlacesService } from './sheet-places.js';
import { SheetPlanner } from './sheet-planner.js';
import { SheetTemplateController } from './sheet-template.controller.js';
import { SheetTemplate } from './sheet-template.entity.js';
import { SheetTemplateService } from './sheet-template.service.js';
import { SheetWorkers } from './sheet-workers.js';
import { SheetController } from './sheet.controller.js';
import { Sheet } from './sheet.entity.js';
import { SheetService } from './sheet.service.js';
import { PlacedCodeModule } from '../../reads/placed-code/placed-code.module.js';
import { AccessCheckModule } from '../../opens/access-check/access-check.module.js';
import { LastSheets } from './last-sheets.js';
import { PrintList } from './print-list.js';
import { PrintRows } from './print-rows.js';
import { PrintOutput } from './print-output.js';

@Module({
  imports: [
    TypeOrmModule.forFeature([Sheet, Print, SheetTemplate]),
    MaterialModule,
    StationModule,
    LessonModule,
    PlacedCodeModule,
    AccessCheckModule,
    LookModule,
    SchoolModule,
    JobModule,
    StorageModule,
  ],
  controllers: [SheetController, PrintController, SheetTemplateController],
  providers: [
    SheetService,
    LastSheets,
    PrintService,
    PrintDrawing,
    PrintRows,
    PrintList,
    PrintOutput,
    PrintOrders,
    SheetPlanner,
    SheetPlacesService,
    SheetPictures,
    SheetTemplateService,
    SheetWorkers,
  ],
  exports: [PrintService, PrintList, SheetPlanner, LastSheets, SheetService],
})
export class SheetModule {
  constructor(handover: Handover, retention: Retention, rows: PrintRows) {
    handover.add({ counts: null, give: rowsOf('prints') });
    retention.add('prints', (before) => rows.expireOld(before));
  }
}
