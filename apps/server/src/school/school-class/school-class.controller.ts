import { Body, Controller, Get, Param, Patch, Post } from '@nestjs/common';
import type { SchoolClassView } from '@hapset/contract';
import { ChangeSchoolClassDto, CreateSchoolClassDto } from './school-class.dto.js';
import { SchoolClassService } from './school-class.service.js';
import { toSchoolClassView } from './school-class.view.js';

@Controller('api/classes')
export class SchoolClassController {
  constructor(private readonly classes: SchoolClassService) {}

  @Get()
  async list(): Promise<readonly SchoolClassView[]> {
    return (await this.classes.list()).map(toSchoolClassView);
  }

  @Post()
  async create(@Body() body: CreateSchoolClassDto): Promise<SchoolClassView> {
    return toSchoolClassView(await this.classes.create(body));
  }

  @Patch(':classId')
  async change(@Param('classId') classId: string, @Body() body: ChangeSchoolClassDto): Promise<SchoolClassView> {
    return toSchoolClassView(await this.classes.change(classId, body));
  }
}
