import { Body, Controller, Get, HttpCode, Param, Post } from '@nestjs/common';
import type { LinkCheckAsked, LinkCheckView } from '@hapset/contract';
import { toLinkCheckView } from '../access-check/access-check.view.js';
import type { Account } from '../../school/account/account.entity.js';
import { Who } from '../../school/rights/who.decorator.js';
import { ServiceDescriptionService } from '../../gather/service-description/service-description.service.js';
import { AskLinkCheckDto } from './link-check.dto.js';
import { LinkCheckService } from './link-check.service.js';

@Controller('api/link-checks')
export class LinkCheckController {
  constructor(
    private readonly checks: LinkCheckService,
    private readonly services: ServiceDescriptionService,
  ) {}

  @Post()
  @HttpCode(202)
  async ask(@Body() { link }: AskLinkCheckDto, @Who() who: Account): Promise<LinkCheckAsked> {
    return { id: await this.checks.ask(link, who.id) };
  }

  @Get(':linkCheckId')
  async state(@Param('linkCheckId') linkCheckId: string): Promise<LinkCheckView> {
    return toLinkCheckView(await this.checks.require(linkCheckId), await this.services.catalogue());
  }
}
