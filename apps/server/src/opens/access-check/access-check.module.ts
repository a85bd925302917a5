import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Retention } from '../../school/retention/retention.js';
import { JobModule } from '../../platform/queue/job.module.js';
import { DecoderModule } from '../../platform/decoder/decoder.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { ServiceDescriptionModule } from '../../gather/service-description/service-description.module.js';
import { StudentBrowserModule } from '../student-browser/student-browser.module.js';
import { StudentViewModule } from '../student-view/student-view.module.js';
import { StorageModule } from '../../platform/storage/storage.module.js';
import { CheckResults } from './check-results.js';
import { StudentViewWork } from './student-view.work.js';
import { ViewJudging } from './view-judging.js';
import { ViewPictures } from './view-pictures.js';
import { ViewRequests } from './view-requests.js';
import { AccessCheck } from './access-check.entity.js';
import { AccessCheckRunner } from './access-check.runner.js';
import { AccessCheckWork } from './access-check.work.js';
import { AccessCheckService } from './access-check.service.js';
import { MaterialModule } from '../../gather/material/material.module.js';
import { StationModule } from '../../lessons/station/station.module.js';
import { AccessCheckController } from './access-check.controller.js';
import { FileModule } from '../../gather/file/file.module.js';
import { PersonAnswerModule } from '../person-answer/person-answer.module.js';
import { CheckSurroundings } from './check-surroundings.js';
import { SmallPicture } from './small-picture.js';
import { CheckAfterChange } from './check-after-change.js';
import { deleteEarlierChecks } from './earlier-checks.js';
import { CheckChanges } from './check-changes.js';
import { LinkChecks } from './link-checks.js';

@Module({
  imports: [
    TypeOrmModule.forFeature([AccessCheck]),
    SchoolModule,
    StudentBrowserModule,
    StudentViewModule,
    StorageModule,
    ServiceDescriptionModule,
    DecoderModule,
    JobModule,
    MaterialModule,
    StationModule,
    FileModule,
    PersonAnswerModule,
  ],
  controllers: [AccessCheckController],
  providers: [
    AccessCheckService,
    LinkChecks,
    AccessCheckRunner,
    AccessCheckWork,
    CheckResults,
    ViewRequests,
    ViewPictures,
    StudentViewWork,
    ViewJudging,
    CheckSurroundings,
    SmallPicture,
    CheckAfterChange,
    CheckChanges,
  ],
  exports: [AccessCheckService, LinkChecks],
})
export class AccessCheckModule {
  constructor(retention: Retention) {
    retention.add('checks', deleteEarlierChecks);
  }
}
