import type { RetentionView } from '@hapset/contract';
import { Body, Controller, Get, Put } from '@nestjs/common';
import { ActivityService } from '../activity/activity.service.js';
import { AdministratorOnly, PasswordConfirmed } from '../rights/access.decorators.js';
import type { SignedIn } from '../rights/signed-in.js';
import { Who } from '../rights/who.decorator.js';
import { ChangeRetentionDto } from './retention.dto.js';
import { Retention } from './retention.js';

@Controller('api/retention')
export class RetentionController {
  constructor(
    private readonly retention: Retention,
    private readonly activity: ActivityService,
  ) {}

  @AdministratorOnly()
  @Get()
  view(): Promise<RetentionView> {
    return this.retention.view();
  }

  @AdministratorOnly()
  @PasswordConfirmed()
  @Put()
  async change(@Body() body: ChangeRetentionDto, @Who() who: SignedIn): Promise<RetentionView> {
    const changed = await this.retention.change(body);
    await this.activity.note(who, 'retention-changed');
    return changed;
  }
}
