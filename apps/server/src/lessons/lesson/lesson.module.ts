import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Handover, rowsOf } from '../../school/staff/handover.js';
import { SchoolClassModule } from '../../school/school-class/school-class.module.js';
import { LessonController } from './lesson.controller.js';
import { Lesson } from './lesson.entity.js';
import { LessonService } from './lesson.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([Lesson]), SchoolClassModule],
  controllers: [LessonController],
  providers: [LessonService],
  exports: [LessonService],
})
export class LessonModule {
  constructor(handover: Handover) {
    handover.add({ counts: 'lessons', give: rowsOf('lessons') });
  }
}
