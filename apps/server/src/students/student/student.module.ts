import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Retention, rowsBefore } from '../../school/retention/retention.js';
import { CardsOfStudents } from './cards-of-students.js';
import { ComparedRoster } from './compared-roster.entity.js';
import { ComparedRosters } from './compared-rosters.js';
import { RosterImport } from './roster-import.entity.js';
import { RosterService } from './roster.service.js';
import { RosterTidying } from './roster-tidying.js';
import { StudentController } from './student.controller.js';
import { Student } from './student.entity.js';
import { StudentService } from './student.service.js';
import { StudentVisibility } from './student-visibility.js';
import { StudentEvents } from './student-events.js';
import { YearEndService } from './year-end.service.js';
import { SchoolModule } from '../../school/settings/school.module.js';

@Module({
  imports: [TypeOrmModule.forFeature([Student, RosterImport, ComparedRoster]), SchoolModule],
  controllers: [StudentController],
  providers: [
    StudentEvents,
    StudentService,
    RosterService,
    YearEndService,
    ComparedRosters,
    RosterTidying,
    CardsOfStudents,
    StudentVisibility,
  ],
  exports: [StudentEvents, StudentService, RosterService, StudentVisibility, TypeOrmModule],
})
export class StudentModule {
  constructor(retention: Retention) {
    retention.add('imports', rowsBefore('roster_imports', 'imported_at'));
  }
}
