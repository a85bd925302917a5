import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { DecoderModule } from '../../platform/decoder/decoder.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { StudentModule } from '../student/student.module.js';
import { StudentPhotoController } from './student-photo.controller.js';
import { StudentPhoto } from './student-photo.entity.js';
import { StudentPhotoService } from './student-photo.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([StudentPhoto]), StudentModule, SchoolModule, DecoderModule],
  controllers: [StudentPhotoController],
  providers: [StudentPhotoService],
  exports: [StudentPhotoService],
})
export class StudentPhotoModule {}
