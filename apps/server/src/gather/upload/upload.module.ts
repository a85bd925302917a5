import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Upload } from './upload.entity.js';
import { UploadService } from './upload.service.js';

@Module({ imports: [TypeOrmModule.forFeature([Upload])], providers: [UploadService], exports: [UploadService] })
export class UploadModule {}
