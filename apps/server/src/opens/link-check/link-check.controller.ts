import { Body, Controller, Get, HttpCode, Param, Post } from '@nestjs/common';
import type { LinkCheckAsked, LinkCheckView } from '@hapset/contract';
import { ServiceDescriptionService } from '../../gather/service-description/service-description.service.js';
import { notFound } from '../../platform/problem/problem.js';
import type { SignedIn } from '../../school/rights/signed-in.js';
import { Who } from '../../school/rights/who.decorator.js';
import { toLinkCheckView } from '../access-check/access-check.view.js';
import { LinkChecks } from '../access-check/link-checks.js';
import { AskLinkCheckDto } from './link-check.dto.js';

@Controller('api/link-checks')
export class LinkCheckController {
  constructor(
    private readonly checks: LinkChecks,
    private readonly services: ServiceDescriptionService,
  ) {}

  @Post()
  @HttpCode(202)
  async ask(@Body() { link }: AskLinkCheckDto, @Who() who: SignedIn): Promise<LinkCheckAsked> {
    return { id: await this.checks.enqueue(link, who.id) };
  }

  @Get(':linkCheckId')
  async state(@Param('linkCheckId') linkCheckId: string): Promise<LinkCheckView> {
    const found = await this.checks.find(linkCheckId);
    if (!found) throw notFound('link check');
    return toLinkCheckView(found, await this.services.catalogue());
  }
}
