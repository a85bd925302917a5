import { join } from 'node:path';
import { Module } from '@nestjs/common';
import { CONFIGURATION, type Configuration } from '../configuration/configuration.js';
import { FolderStorage } from './folder-storage.js';
import { Storage } from './storage.js';

@Module({
  providers: [
    {
      provide: Storage,
      inject: [CONFIGURATION],
      useFactory: ({ filesFolder }: Configuration) => new FolderStorage(join(filesFolder, 'kept')),
    },
  ],
  exports: [Storage],
})
export class StorageModule {}
