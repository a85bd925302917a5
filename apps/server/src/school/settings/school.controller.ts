import { Body, Controller, Delete, Get, Param, Patch, Put } from '@nestjs/common';
import type { AddressesOnPaper, SchoolView, TeacherClassesView } from '@hapset/contract';
import { AdministratorOnly, OfficeOnly } from '../rights/access.decorators.js';
import { ChangeSchoolDto, ChangeTeacherClassesDto } from './change-school.dto.js';
import { SchoolService } from './school.service.js';
import { toSchoolView } from './school.view.js';

@Controller('api/school')
export class SchoolController {
  constructor(private readonly school: SchoolService) {}

  @Get()
  async get(): Promise<SchoolView> {
    return toSchoolView(await this.school.get());
  }

  @AdministratorOnly()
  @Get('on-paper')
  onPaper(): Promise<AddressesOnPaper> {
    return this.school.onPaper();
  }

  @OfficeOnly()
  @Get('teacher-classes')
  teacherClasses(): Promise<TeacherClassesView> {
    return this.school.teacherClasses();
  }

  @AdministratorOnly()
  @Put('teacher-classes')
  changeTeacherClasses(@Body() body: ChangeTeacherClassesDto): Promise<TeacherClassesView> {
    return this.school.changeTeacherClasses(body);
  }

  @AdministratorOnly()
  @Delete('former-hosts/:formerHost')
  async removeFormerHost(@Param('formerHost') host: string): Promise<null> {
    await this.school.removeFormerHost(host);
    return null;
  }

  @AdministratorOnly()
  @Patch()
  async change(@Body() body: ChangeSchoolDto): Promise<SchoolView> {
    return toSchoolView(await this.school.change(body));
  }
}
