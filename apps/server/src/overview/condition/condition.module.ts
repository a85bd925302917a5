import { Module } from '@nestjs/common';
import { StudentViewModule } from '../../opens/student-view/student-view.module.js';
import { ArrivalModule } from '../../school/arrival/arrival.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { ConditionController } from './condition.controller.js';
import { ConditionService } from './condition.service.js';
import { ServerParts } from './server-parts.js';

@Module({
  imports: [SchoolModule, ArrivalModule, StudentViewModule],
  controllers: [ConditionController],
  providers: [ConditionService, ServerParts],
  exports: [ServerParts],
})
export class ConditionModule {}
