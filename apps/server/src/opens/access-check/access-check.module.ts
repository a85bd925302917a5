import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { DecoderModule } from '../../platform/decoder/decoder.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { ServiceDescriptionModule } from '../../gather/service-description/service-description.module.js';
import { StudentBrowserModule } from '../student-browser/student-browser.module.js';
import { AccessCheck } from './access-check.entity.js';
import { AccessCheckRunner } from './access-check.runner.js';
import { AccessCheckWork } from './access-check.work.js';
import { AccessCheckService } from './access-check.service.js';

/** The work itself. Its controller is declared in the application's module, since it needs nouns that need this one. */
@Module({
  imports: [
    TypeOrmModule.forFeature([AccessCheck]),
    SchoolModule,
    StudentBrowserModule,
    ServiceDescriptionModule,
    DecoderModule,
  ],
  providers: [AccessCheckService, AccessCheckRunner, AccessCheckWork],
  exports: [AccessCheckService, AccessCheckRunner],
})
export class AccessCheckModule {}
