import { Body, Controller, Get, HttpCode, Param, Post } from '@nestjs/common';
import type { AskedRehearsalView, RehearsalAsked } from '@hapset/contract';
import { Who } from '../../school/rights/who.decorator.js';
import { AskRehearsalDto } from './asked-rehearsal.dto.js';
import { AskedRehearsalService } from './asked-rehearsal.service.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

@Controller('api/rehearsals')
export class AskedRehearsalController {
  constructor(private readonly rehearsals: AskedRehearsalService) {}

  @Post()
  @HttpCode(202)
  async ask(@Body() body: AskRehearsalDto, @Who() who: SignedIn): Promise<RehearsalAsked> {
    return { id: await this.rehearsals.ask(body, who.id) };
  }

  @Get(':rehearsalId')
  state(@Param('rehearsalId') rehearsalId: string): Promise<AskedRehearsalView> {
    return this.rehearsals.view(rehearsalId);
  }
}
