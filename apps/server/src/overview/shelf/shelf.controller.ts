import { Controller, Get, Query } from '@nestjs/common';
import { shelfOrders, type ShelfPage } from '@hapset/contract';
import { Who } from '../../school/rights/who.decorator.js';
import { ShelfService } from './shelf.service.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

@Controller('api/materials')
export class ShelfController {
  constructor(private readonly shelf: ShelfService) {}

  @Get()
  list(
    @Who() who: SignedIn,
    @Query('find') find?: string,
    @Query('tag') tag?: string,
    @Query('order') order?: string,
    @Query('after') after?: string,
  ): Promise<ShelfPage> {
    return this.shelf.page(who.id, {
      find: typeof find === 'string' ? find : '',
      tag: typeof tag === 'string' ? tag : null,
      order: shelfOrders.find((known) => known === order) ?? 'newest',
      after: typeof after === 'string' ? after : null,
    });
  }
}
