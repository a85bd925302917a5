import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { SchoolModule } from '../../school/settings/school.module.js';
import { DecoderModule } from '../../platform/decoder/decoder.module.js';
import { UploadModule } from '../../gather/upload/upload.module.js';
import { LookController } from './look.controller.js';
import { Look } from './look.entity.js';
import { LookPicture } from './look-picture.entity.js';
import { LookPictureService } from './look-picture.service.js';
import { LookService } from './look.service.js';
import { LessonModule } from '../../lessons/lesson/lesson.module.js';
import { LessonLookController } from './lesson-look.controller.js';

@Module({
  imports: [TypeOrmModule.forFeature([Look, LookPicture]), SchoolModule, UploadModule, DecoderModule, LessonModule],
  controllers: [LookController, LessonLookController],
  providers: [LookService, LookPictureService],
  exports: [LookService, LookPictureService],
})
export class LookModule {}
