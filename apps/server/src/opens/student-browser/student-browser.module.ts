import { Module } from '@nestjs/common';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { AddressGuard } from './address-guard.js';
import { StudentBrowser } from './student-browser.js';

@Module({
  providers: [
    {
      provide: StudentBrowser,
      inject: [CONFIGURATION],
      useFactory: (configuration: Configuration) => new StudentBrowser(new AddressGuard(configuration.trustedHosts)),
    },
  ],
  exports: [StudentBrowser],
})
export class StudentBrowserModule {}
