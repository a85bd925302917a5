import { Controller, Get } from '@nestjs/common';
import type { ConditionView } from '@hapset/contract';
import { AdministratorOnly } from '../../school/rights/access.decorators.js';
import { ConditionService } from './condition.service.js';

@Controller('api/condition')
export class ConditionController {
  constructor(private readonly condition: ConditionService) {}

  @AdministratorOnly()
  @Get()
  view(): Promise<ConditionView> {
    return this.condition.look();
  }
}
