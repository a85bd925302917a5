import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Query, Res } from '@nestjs/common';
import type {
  CompareRoster,
  RosterComparisonView,
  RosterImportView,
  RosterUndoView,
  StudentGroups,
  StudentsPage,
  StudentView,
} from '@hapset/contract';
import type { Response } from 'express';
import { ActivityService } from '../../school/activity/activity.service.js';
import { OfficeOnly, PasswordConfirmed } from '../../school/rights/access.decorators.js';
import { Who } from '../../school/rights/who.decorator.js';
import { nameFile } from '../../paper/picture/send-file.js';
import { RosterService } from './roster.service.js';
import { CompareRosterPipe } from './roster-body.pipe.js';
import { ChangeStudentDto, EndYearDto, ImportRosterDto, LeaveClassDto, LeaveStudentsDto } from './student.dto.js';
import { StudentService, type StudentsRequest } from './student.service.js';
import { StudentVisibility } from './student-visibility.js';
import { studentFileFormats, studentFileTypes, studentsFile } from './students-file.js';
import { YearEndService } from './year-end.service.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

type Asked = Readonly<Record<string, unknown>>;

@Controller('api')
export class StudentController {
  constructor(
    private readonly students: StudentService,
    private readonly rosters: RosterService,
    private readonly visibility: StudentVisibility,
    private readonly activity: ActivityService,
    private readonly yearEnds: YearEndService,
  ) {}

  @Get('students')
  async page(@Query() query: Asked, @Who() who: SignedIn): Promise<StudentsPage> {
    return this.students.page({
      ...requestOf(query),
      visible: await this.visibility.find(who),
      after: text(query.after),
    });
  }

  @Get('student-groups')
  async groups(@Who() who: SignedIn): Promise<StudentGroups> {
    return this.students.groups(await this.visibility.find(who));
  }

  @OfficeOnly()
  @PasswordConfirmed()
  @Get('students-file')
  async file(@Query() query: Asked, @Who() who: SignedIn, @Res() response: Response): Promise<void> {
    const format = studentFileFormats.find((known) => known === query.format) ?? 'csv';
    const students = await this.students.all({ ...requestOf(query), visible: null });
    await this.activity.note(who, 'students-exported', String(students.length));
    const bytes = studentsFile(students, format);
    nameFile(response, { type: studentFileTypes[format], name: `Students.${format}`, disposition: 'attachment' }).send(
      bytes,
    );
  }

  @Patch('students/:studentId')
  change(@Param('studentId') studentId: string, @Body() body: ChangeStudentDto): Promise<StudentView> {
    return this.students.change(studentId, body);
  }

  @OfficeOnly()
  @Post('class-departures')
  @HttpCode(200)
  leave(@Body() { className }: LeaveClassDto): Promise<StudentGroups> {
    return this.students.leave(className);
  }

  @OfficeOnly()
  @Post('student-departures')
  @HttpCode(200)
  leaveTogether(@Body() body: LeaveStudentsDto): Promise<StudentGroups> {
    return this.students.leaveTogether(body);
  }

  @OfficeOnly()
  @Post('year-ends')
  async endYear(@Body() body: EndYearDto, @Who() who: SignedIn): Promise<RosterImportView> {
    const ended = await this.yearEnds.end(body, who.id);
    await this.activity.note(who, 'year-ended', `~${ended.changed} −${ended.left}`);
    return ended;
  }

  @OfficeOnly()
  @Post('roster-comparisons')
  @HttpCode(200)
  compare(@Body(CompareRosterPipe) { students }: CompareRoster, @Who() who: SignedIn): Promise<RosterComparisonView> {
    return this.rosters.compare(students, who.id);
  }

  @OfficeOnly()
  @Get('roster-imports')
  imports(@Who() who: SignedIn): Promise<readonly RosterImportView[]> {
    return this.rosters.list(who);
  }

  @OfficeOnly()
  @Post('roster-imports')
  async import(@Body() body: ImportRosterDto, @Who() who: SignedIn): Promise<RosterImportView> {
    const imported = await this.rosters.import(body, who.id);
    await this.activity.note(who, 'roster-imported', `+${imported.added} ~${imported.changed} −${imported.left}`);
    return imported;
  }

  @OfficeOnly()
  @Get('roster-imports/:rosterImportId/undo')
  undoView(@Param('rosterImportId') id: string): Promise<RosterUndoView> {
    return this.rosters.undoView(id);
  }

  @OfficeOnly()
  @Delete('roster-imports/:rosterImportId')
  async undo(@Param('rosterImportId') id: string, @Who() who: SignedIn): Promise<RosterUndoView> {
    const undone = await this.rosters.undo(id);
    await this.activity.note(who, 'roster-undone', String(undone.deleted + undone.restored));
    return undone;
  }
}

function requestOf(query: Asked): Omit<StudentsRequest, 'after' | 'visible'> {
  return {
    find: text(query.find) ?? '',
    className: text(query.class),
    year: text(query.year),
    left: query.left === 'yes',
  };
}

function text(value: unknown): string | null {
  return typeof value === 'string' && value !== '' ? value : null;
}
