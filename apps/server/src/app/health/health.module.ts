import { Module } from '@nestjs/common';
import { ConditionModule } from '../../overview/condition/condition.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { ShortLinkModule } from '../../code/short-link/short-link.module.js';
import { VisitorModule } from '../../school/visitor/visitor.module.js';
import { HealthController } from './health.controller.js';
import { ServerNotesController } from './server-notes.controller.js';

@Module({
  imports: [ConditionModule, VisitorModule, ShortLinkModule, SchoolModule],
  controllers: [HealthController, ServerNotesController],
})
export class HealthModule {}
