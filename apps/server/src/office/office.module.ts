import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { StoredContent } from '../file/stored-content.entity.js';
import { JobModule } from '../job/job.module.js';
import { StorageModule } from '../storage/storage.module.js';
import { OfficeConverter } from './office-converter.js';
import { OfficeService } from './office.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([StoredContent]), JobModule, StorageModule],
  providers: [OfficeService, { provide: OfficeConverter, useFactory: () => OfficeConverter.find() }],
  exports: [OfficeService, OfficeConverter],
})
export class OfficeModule {}
