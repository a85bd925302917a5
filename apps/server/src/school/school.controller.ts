import { Body, Controller, Get, Patch } from '@nestjs/common';
import type { AddressesOnPaper, SchoolView } from '@hapset/contract';
import { AdministratorOnly } from '../ownership/access.decorators.js';
import { ChangeSchoolDto } from './change-school.dto.js';
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

  @AdministratorOnly()
  @Patch()
  async change(@Body() body: ChangeSchoolDto): Promise<SchoolView> {
    return toSchoolView(await this.school.change(body));
  }
}
