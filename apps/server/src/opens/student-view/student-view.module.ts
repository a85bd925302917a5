import { Module } from '@nestjs/common';
import { StudentViews } from './student-views.js';

@Module({ providers: [StudentViews], exports: [StudentViews] })
export class StudentViewModule {}
