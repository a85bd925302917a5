import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Query, Res } from '@nestjs/common';
import type { RosterComparisonView, RosterImportView, StudentGroups, StudentsPage, StudentView } from '@hapset/contract';
import type { Response } from 'express';
import type { Account } from '../account/account.entity.js';
import { Who } from '../ownership/who.decorator.js';
import { nameFile } from '../picture/send-file.js';
import { RosterService } from './roster.service.js';
import { ChangeStudentDto, CompareRosterDto, ImportRosterDto, LeaveClassDto } from './student.dto.js';
import { StudentService, type StudentsWish } from './student.service.js';
import { studentFileFormats, studentFileTypes, studentsFile } from './students-file.js';

type Asked = Readonly<Record<string, unknown>>;

@Controller('api')
export class StudentController {
  constructor(
    private readonly students: StudentService,
    private readonly rosters: RosterService,
  ) {}

  @Get('students')
  page(@Query() query: Asked): Promise<StudentsPage> {
    return this.students.page({ ...wishOf(query), after: text(query.after) });
  }

  @Get('student-groups')
  groups(): Promise<StudentGroups> {
    return this.students.groups();
  }

  @Get('students-file')
  async file(@Query() query: Asked, @Res() response: Response): Promise<void> {
    const format = studentFileFormats.find((known) => known === query.format) ?? 'csv';
    const bytes = studentsFile(await this.students.all(wishOf(query)), format);
    nameFile(response, { type: studentFileTypes[format], name: `Students.${format}`, disposition: 'attachment' }).send(bytes);
  }

  @Patch('students/:studentId')
  change(@Param('studentId') studentId: string, @Body() body: ChangeStudentDto): Promise<StudentView> {
    return this.students.change(studentId, body);
  }

  @Delete('students/:studentId')
  async erase(@Param('studentId') studentId: string): Promise<null> {
    await this.students.erase(studentId);
    return null;
  }

  @Post('class-departures')
  @HttpCode(200)
  leave(@Body() { className }: LeaveClassDto): Promise<StudentGroups> {
    return this.students.leave(className);
  }

  @Post('roster-comparisons')
  @HttpCode(200)
  compare(@Body() { students }: CompareRosterDto): Promise<RosterComparisonView> {
    return this.rosters.compare(students);
  }

  @Get('roster-imports')
  imports(): Promise<readonly RosterImportView[]> {
    return this.rosters.list();
  }

  @Post('roster-imports')
  bring(@Body() body: ImportRosterDto, @Who() who: Account): Promise<RosterImportView> {
    return this.rosters.bring(body, who.id);
  }

  @Delete('roster-imports/:rosterImportId')
  async undo(@Param('rosterImportId') id: string): Promise<null> {
    await this.rosters.undo(id);
    return null;
  }
}

function wishOf(query: Asked): Omit<StudentsWish, 'after'> {
  return { find: text(query.find) ?? '', className: text(query.class), year: text(query.year), left: query.left === 'yes' };
}

function text(value: unknown): string | null {
  return typeof value === 'string' && value !== '' ? value : null;
}
