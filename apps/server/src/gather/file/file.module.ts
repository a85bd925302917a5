import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Handover, rowsOf } from '../../school/staff/handover.js';
import { StorageModule } from '../../platform/storage/storage.module.js';
import { UploadController } from './upload.controller.js';
import { UploadModule } from '../upload/upload.module.js';
import { JobModule } from '../../platform/queue/job.module.js';
import { AccountModule } from '../../school/account/account.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { DecoderModule } from '../../platform/decoder/decoder.module.js';
import { OfficeModule } from '../office/office.module.js';
import { FileController } from './file.controller.js';
import { FileEvents } from './file-events.js';
import { FileService } from './file.service.js';
import { FileUse } from './file-use.entity.js';
import { KeptBytesController } from './kept-bytes.controller.js';
import { KeptFile } from './kept-file.entity.js';
import { StoredContent } from './stored-content.entity.js';
import { TidyFilesService } from './tidy-files.service.js';
import { OfficeCopies } from './office-copies.js';
import { KeptFactsService } from './kept-facts.service.js';
import { ContentStore } from './content-store.js';

@Module({
  imports: [
    TypeOrmModule.forFeature([KeptFile, StoredContent, FileUse]),
    StorageModule,
    UploadModule,
    JobModule,
    OfficeModule,
    DecoderModule,
    AccountModule,
    SchoolModule,
  ],
  controllers: [FileController, KeptBytesController, UploadController],
  providers: [FileService, ContentStore, OfficeCopies, TidyFilesService, KeptFactsService, FileEvents],
  exports: [FileService, KeptFactsService, FileEvents],
})
export class FileModule {
  constructor(handover: Handover) {
    handover.add({ counts: 'files', give: rowsOf('kept_files') });
  }
}
