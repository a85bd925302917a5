import { Body, Controller, Delete, Get, Param, Patch, Put } from '@nestjs/common';
import type { AddressesOnPaper, SchoolView, TeacherClassesView } from '@hapset/contract';
import { ActivityService } from '../activity/activity.service.js';
import type { SignedIn } from '../rights/signed-in.js';
import { Who } from '../rights/who.decorator.js';
import { AdministratorOnly, OfficeOnly } from '../rights/access.decorators.js';
import { ChangeSchoolDto, ChangeTeacherClassesDto } from './change-school.dto.js';
import { SchoolService } from './school.service.js';
import { toSchoolView } from './school.view.js';

@Controller('api/school')
export class SchoolController {
  constructor(
    private readonly school: SchoolService,
    private readonly activity: ActivityService,
  ) {}

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
  async changeTeacherClasses(@Body() body: ChangeTeacherClassesDto, @Who() who: SignedIn): Promise<TeacherClassesView> {
    const changed = await this.school.changeTeacherClasses(body);
    await this.activity.note(who, 'teacher-classes-changed');
    return changed;
  }

  @AdministratorOnly()
  @Delete('former-hosts/:formerHost')
  async removeFormerHost(@Param('formerHost') host: string, @Who() who: SignedIn): Promise<null> {
    await this.school.removeFormerHost(host);
    await this.activity.note(who, 'settings-changed', host);
    return null;
  }

  @AdministratorOnly()
  @Patch()
  async change(@Body() body: ChangeSchoolDto, @Who() who: SignedIn): Promise<SchoolView> {
    const changed = await this.school.change(body);
    await this.activity.note(who, 'settings-changed', changed.name);
    return toSchoolView(changed);
  }
}
