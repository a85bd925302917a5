import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { CONFIGURATION, type Configuration } from '../configuration/configuration.js';
import { AccessCheck } from './access-check.entity.js';
import { AccessCheckRunner } from './access-check.runner.js';
import { AccessCheckService } from './access-check.service.js';
import { AddressGuard } from './address-guard.js';
import { StudentBrowser } from './student-browser.js';

/** The work itself. Its controller is declared in the application's module, since it needs nouns that need this one. */
@Module({
  imports: [TypeOrmModule.forFeature([AccessCheck])],
  providers: [
    AccessCheckService,
    AccessCheckRunner,
    {
      provide: StudentBrowser,
      inject: [CONFIGURATION],
      useFactory: (configuration: Configuration) => new StudentBrowser(new AddressGuard(configuration.trustedHosts)),
    },
  ],
  exports: [AccessCheckService],
})
export class AccessCheckModule {}
