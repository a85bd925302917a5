import { Module, type DynamicModule } from '@nestjs/common';
import { AccessCheckModule } from '../opens/access-check/access-check.module.js';
import { AccountModule } from '../school/account/account.module.js';
import { AccountLinkModule } from '../school/account-link/account-link.module.js';
import { ActivityModule } from '../school/activity/activity.module.js';
import { OwnAccountModule } from '../school/own-account/own-account.module.js';
import { ArrivalModule } from '../school/arrival/arrival.module.js';
import { ConditionModule } from '../overview/condition/condition.module.js';
import { SetupStepsModule } from '../overview/setup-steps/setup-steps.module.js';
import { ArrivalPageModule } from '../student-pages/arrival-page/arrival-page.module.js';
import { RetentionModule } from '../school/retention/retention.module.js';
import { StaffModule } from '../school/staff/staff.module.js';
import { ClockModule } from '../platform/clock/clock.module.js';
import { ConfigurationModule } from '../platform/configuration/configuration.module.js';
import type { Configuration } from '../platform/configuration/configuration.js';
import { DatabaseModule } from '../platform/database/database.module.js';
import { DeviceModule } from '../school/device/device.module.js';
import { FileModule } from '../gather/file/file.module.js';
import { InspectionModule } from '../reads/inspection/inspection.module.js';
import { HealthModule } from './health/health.module.js';
import { LessonModule } from '../lessons/lesson/lesson.module.js';
import type { AppLogger } from '../platform/logging/logger.token.js';
import { LinkCheckModule } from '../opens/link-check/link-check.module.js';
import { LookModule } from '../code/look/look.module.js';
import { PictureModule } from '../paper/picture/picture.module.js';
import { MaterialModule } from '../gather/material/material.module.js';
import { NewsModule } from '../overview/news/news.module.js';
import { OpeningScheduleModule } from '../opens/opening-schedule/opening-schedule.module.js';
import { IdempotencyModule } from '../school/idempotency/idempotency.module.js';
import { OwnershipModule } from '../school/ownership/ownership.module.js';
import { RehearsalModule } from '../reads/rehearsal/rehearsal.module.js';
import { SchoolClassModule } from '../school/school-class/school-class.module.js';
import { SchoolModule } from '../school/settings/school.module.js';
import { ServiceDescriptionModule } from '../gather/service-description/service-description.module.js';
import { SheetModule } from '../paper/sheet/sheet.module.js';
import { StudentPhotoModule } from '../students/student-photo/student-photo.module.js';
import { StudentModule } from '../students/student/student.module.js';
import { StudentCardModule } from '../students/student-card/student-card.module.js';
import { StudentPageModule } from '../student-pages/student-page/student-page.module.js';
import { StationModule } from '../lessons/station/station.module.js';
import { LiveEventsModule } from '../platform/live-events/live-events.module.js';
import { dataSourceOptions } from './data-source.js';
import { WrittenPageModule } from '../gather/written-page/written-page.module.js';
import { ServiceTryoutModule } from '../opens/service-tryout/service-tryout.module.js';
import { SymbolModule } from '../code/symbol/symbol.module.js';
import { ShortLinkModule } from '../code/short-link/short-link.module.js';
import { CarryModule } from '../code/carry/carry.module.js';
import { TryoutModule } from '../reads/tryout/tryout.module.js';
import { BenchModule } from '../overview/bench/bench.module.js';
import { SearchModule } from '../overview/search/search.module.js';
import { ShelfModule } from '../overview/shelf/shelf.module.js';
import { MaterialPageModule } from '../overview/material-page/material-page.module.js';
import { ShortLinkPageModule } from '../student-pages/short-link-page/short-link-page.module.js';

@Module({})
export class AppModule {
  static with(configuration: Configuration, logger: AppLogger): DynamicModule {
    return {
      module: AppModule,
      imports: [
        ConfigurationModule.with(configuration, logger),
        ClockModule,
        DatabaseModule.with(dataSourceOptions),
        LiveEventsModule,
        OwnershipModule,
        IdempotencyModule,
        RetentionModule,
        ActivityModule,
        AccountModule,
        AccountLinkModule,
        OwnAccountModule,
        StaffModule,
        ArrivalModule,
        SchoolModule,
        DeviceModule,
        SchoolClassModule,
        ServiceDescriptionModule,
        FileModule,
        MaterialModule,
        WrittenPageModule,
        LessonModule,
        StationModule,
        AccessCheckModule,
        ServiceTryoutModule,
        LinkCheckModule,
        OpeningScheduleModule,
        LookModule,
        SymbolModule,
        ShortLinkModule,
        CarryModule,
        RehearsalModule,
        TryoutModule,
        InspectionModule,
        SheetModule,
        PictureModule,
        StudentModule,
        StudentPhotoModule,
        StudentCardModule,
        NewsModule,
        BenchModule,
        SearchModule,
        ShelfModule,
        MaterialPageModule,
        SetupStepsModule,
        ConditionModule,
        ArrivalPageModule,
        StudentPageModule,
        ShortLinkPageModule,
        HealthModule,
      ],
    };
  }
}
