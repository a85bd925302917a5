import { Module, type DynamicModule } from '@nestjs/common';
import { AccessCheckController } from './access-check/access-check.controller.js';
import { AccessCheckModule } from './access-check/access-check.module.js';
import { AccountModule } from './account/account.module.js';
import { ClockModule } from './clock/clock.module.js';
import { ConfigurationModule } from './configuration/configuration.module.js';
import type { Configuration } from './configuration/configuration.js';
import { DatabaseModule } from './database/database.module.js';
import { DeviceModule } from './device/device.module.js';
import { FileModule } from './file/file.module.js';
import { InspectionModule } from './inspection/inspection.module.js';
import { HealthModule } from './health/health.module.js';
import { LessonModule } from './lesson/lesson.module.js';
import type { AppLogger } from './logging/logger.token.js';
import { LinkCheckModule } from './link-check/link-check.module.js';
import { LookModule } from './look/look.module.js';
import { PictureModule } from './picture/picture.module.js';
import { LiveEventsModule } from './live-events/live-events.module.js';
import { MaterialModule } from './material/material.module.js';
import { NewsModule } from './news/news.module.js';
import { OpeningScheduleModule } from './opening-schedule/opening-schedule.module.js';
import { OwnershipModule } from './ownership/ownership.module.js';
import { RehearsalModule } from './rehearsal/rehearsal.module.js';
import { SchoolClassModule } from './school-class/school-class.module.js';
import { SchoolModule } from './school/school.module.js';
import { ServiceDescriptionModule } from './service-description/service-description.module.js';
import { SheetModule } from './sheet/sheet.module.js';
import { StudentModule } from './student/student.module.js';
import { StudentCardModule } from './student-card/student-card.module.js';
import { StudentPageModule } from './student-page/student-page.module.js';
import { StationModule } from './station/station.module.js';

@Module({})
export class AppModule {
  static with(configuration: Configuration, logger: AppLogger): DynamicModule {
    return {
      module: AppModule,
      imports: [
        ConfigurationModule.with(configuration, logger),
        ClockModule,
        DatabaseModule,
        OwnershipModule,
        AccountModule,
        SchoolModule,
        DeviceModule,
        ServiceDescriptionModule,
        SchoolClassModule,
        LookModule,
        FileModule,
        MaterialModule,
        StudentPageModule,
        StationModule,
        LessonModule,
        AccessCheckModule,
        LinkCheckModule,
        OpeningScheduleModule,
        NewsModule,
        LiveEventsModule,
        RehearsalModule,
        SheetModule,
        StudentModule,
        StudentCardModule,
        PictureModule,
        InspectionModule,
        HealthModule,
      ],
      controllers: [AccessCheckController],
    };
  }
}
