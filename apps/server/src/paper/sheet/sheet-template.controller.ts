import { Body, Controller, Delete, Get, Param, Patch, Post, Put } from '@nestjs/common';
import type { SheetTemplateView } from '@hapset/contract';
import { AdministratorOnly } from '../../school/rights/access.decorators.js';
import { Who } from '../../school/rights/who.decorator.js';
import { ChangeSheetTemplateDto, CreateSheetTemplateDto, UsualSheetTemplateDto } from './sheet.dto.js';
import { SheetTemplateService } from './sheet-template.service.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

@Controller('api/sheet-templates')
export class SheetTemplateController {
  constructor(private readonly templates: SheetTemplateService) {}

  @Get()
  list(@Who() who: SignedIn): Promise<readonly SheetTemplateView[]> {
    return this.templates.list(who);
  }

  @Post()
  create(@Body() body: CreateSheetTemplateDto, @Who() who: SignedIn): Promise<SheetTemplateView> {
    return this.templates.create(body, who);
  }

  @Put(':sheetTemplateId')
  change(
    @Param('sheetTemplateId') id: string,
    @Body() body: ChangeSheetTemplateDto,
    @Who() who: SignedIn,
  ): Promise<SheetTemplateView> {
    return this.templates.change(id, body, who);
  }

  @AdministratorOnly()
  @Patch(':sheetTemplateId')
  makeUsual(
    @Param('sheetTemplateId') id: string,
    @Body() body: UsualSheetTemplateDto,
    @Who() who: SignedIn,
  ): Promise<SheetTemplateView> {
    return this.templates.makeUsual(id, body.usual, who);
  }

  @Delete(':sheetTemplateId')
  async remove(@Param('sheetTemplateId') id: string, @Who() who: SignedIn): Promise<null> {
    await this.templates.remove(id, who);
    return null;
  }
}
