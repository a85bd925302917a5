import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { StoredContent } from '../file/stored-content.entity.js';
import { JobModule } from '../../platform/queue/job.module.js';
import { StorageModule } from '../../platform/storage/storage.module.js';
import { OfficeConverter } from './office-converter.js';
import { OfficeService } from '../file/office-copies.js';

@Module({
  imports: [TypeOrmModule.forFeature([StoredContent]), JobModule, StorageModule],
  providers: [
    OfficeService,
    {
      provide: OfficeConverter,
      inject: [CONFIGURATION],
      useFactory: ({ officeProgram }: Configuration) => new OfficeConverter(officeProgram),
    },
  ],
  exports: [OfficeService, OfficeConverter],
})
export class OfficeModule {}
