import { Module } from '@nestjs/common';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { OfficeConverter } from './office-converter.js';

@Module({
  providers: [
    {
      provide: OfficeConverter,
      inject: [CONFIGURATION],
      useFactory: ({ officeProgram }: Configuration) => new OfficeConverter(officeProgram),
    },
  ],
  exports: [OfficeConverter],
})
export class OfficeModule {}
