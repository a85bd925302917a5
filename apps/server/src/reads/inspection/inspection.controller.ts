import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import type { CodeInspection } from '@hapset/contract';
import type { Account } from '../../school/account/account.entity.js';
import { Who } from '../../school/rights/who.decorator.js';
import { InspectCodeDto } from './inspection.dto.js';
import { InspectionService } from './inspection.service.js';

@Controller('api/inspections')
export class InspectionController {
  constructor(private readonly inspections: InspectionService) {}

  @Post()
  @HttpCode(200)
  inspect(@Body() { payload }: InspectCodeDto, @Who() who: Account): Promise<CodeInspection> {
    return this.inspections.inspect(payload, who.id);
  }
}
