import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { CardsOfStudents } from './cards-of-students.js';
import { RosterImport } from './roster-import.entity.js';
import { RosterService } from './roster.service.js';
import { StudentController } from './student.controller.js';
import { Student } from './student.entity.js';
import { StudentService } from './student.service.js';

@Module({ imports: [TypeOrmModule.forFeature([Student, RosterImport])], controllers: [StudentController], providers: [StudentService, RosterService, CardsOfStudents], exports: [StudentService, TypeOrmModule] })
export class StudentModule {}
