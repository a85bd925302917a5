import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import type { CodeInspection } from '@hapset/contract';
import { Who } from '../../school/rights/who.decorator.js';
import { InspectCodeDto } from './inspection.dto.js';
import { InspectionService } from './inspection.service.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

@Controller('api/inspections')
export class InspectionController {
  constructor(private readonly inspections: InspectionService) {}

  @Post()
  @HttpCode(200)
  inspect(@Body() { payload }: InspectCodeDto, @Who() who: SignedIn): Promise<CodeInspection> {
    return this.inspections.inspect(payload, who.id);
  }
}
