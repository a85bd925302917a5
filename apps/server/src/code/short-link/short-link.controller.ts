import { Body, Controller, Get, Header, HttpCode, Param, Patch, Post, Query } from '@nestjs/common';
import type { ShortLinkDetails, ShortLinksPage } from '@hapset/contract';
import { MaterialService } from '../../gather/material/material.service.js';
import { Who } from '../../school/rights/who.decorator.js';
import { isShortLinkFilter, ShortLinkListService, type ShortLinkRequest } from './short-link-list.service.js';
import { ChangeShortLinkDto } from './short-link.dto.js';
import { ShortLinkService } from './short-link.service.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

@Controller('api')
export class ShortLinkController {
  constructor(
    private readonly materials: MaterialService,
    private readonly links: ShortLinkService,
    private readonly lists: ShortLinkListService,
  ) {}

  @Get('short-links')
  list(
    @Who() who: SignedIn,
    @Query('find') find?: string,
    @Query('filter') filter?: string,
    @Query('after') after?: string,
  ): Promise<ShortLinksPage> {
    return this.lists.page(who.id, requestOf(find, filter, after));
  }

  @Get('short-links.csv')
  @Header('Content-Type', 'text/csv; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="short-links.csv"')
  csv(@Who() who: SignedIn, @Query('find') find?: string, @Query('filter') filter?: string): Promise<string> {
    return this.lists.csv(who.id, requestOf(find, filter, undefined));
  }

  @Get('materials/:materialId/short-link')
  async details(@Param('materialId') materialId: string): Promise<ShortLinkDetails> {
    return this.links.details(await this.materials.require(materialId));
  }

  @Post('materials/:materialId/short-link/replacement')
  @HttpCode(200)
  async replace(@Param('materialId') materialId: string): Promise<ShortLinkDetails> {
    await this.links.replace(await this.materials.require(materialId));
    return this.links.details(await this.materials.require(materialId));
  }

  @Patch('materials/:materialId/short-link')
  async change(
    @Param('materialId') materialId: string,
    @Body() { opening }: ChangeShortLinkDto,
  ): Promise<ShortLinkDetails> {
    return this.links.changeOpening(await this.materials.require(materialId), opening);
  }
}

function requestOf(find: unknown, filter: unknown, after: unknown): ShortLinkRequest {
  return {
    find: typeof find === 'string' ? find : '',
    filter: isShortLinkFilter(filter) ? filter : 'all',
    after: typeof after === 'string' ? after : null,
  };
}
