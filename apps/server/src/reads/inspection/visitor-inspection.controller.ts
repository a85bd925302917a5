import { Body, Controller, Get, HttpCode, Param, Post, Req } from '@nestjs/common';
import type { LinkCheckAsked, LinkCheckView, VisitorRights } from '@hapset/contract';
import type { Request } from 'express';
import { toLinkCheckView } from '../../opens/access-check/access-check.view.js';
import { AskLinkCheckDto } from '../../opens/link-check/link-check.dto.js';
import { Anyone } from '../../school/rights/access.decorators.js';
import { ServiceDescriptionService } from '../../gather/service-description/service-description.service.js';
import { VisitorAddress } from '../../school/visitor/visitor-address.js';
import { VisitorInspectionService } from './visitor-inspection.service.js';

@Controller('api/visitor-inspections')
export class VisitorInspectionController {
  constructor(
    private readonly inspections: VisitorInspectionService,
    private readonly addresses: VisitorAddress,
    private readonly services: ServiceDescriptionService,
  ) {}

  @Anyone()
  @Get()
  async rights(@Req() request: Request): Promise<VisitorRights> {
    return { mayInspect: await this.inspections.mayInspect(this.addresses.find(request)) };
  }

  @Anyone()
  @Post()
  @HttpCode(202)
  async ask(@Body() { link }: AskLinkCheckDto, @Req() request: Request): Promise<LinkCheckAsked> {
    return { id: await this.inspections.ask(link, this.addresses.find(request)) };
  }

  @Anyone()
  @Get(':visitorInspectionId')
  async state(@Param('visitorInspectionId') id: string, @Req() request: Request): Promise<LinkCheckView> {
    return toLinkCheckView(
      await this.inspections.require(id, this.addresses.find(request)),
      await this.services.catalogue(),
    );
  }
}
