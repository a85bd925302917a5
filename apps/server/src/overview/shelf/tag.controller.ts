import { Controller, Get, Param, Post } from '@nestjs/common';
import type { TagView } from '@hapset/contract';
import type { Account } from '../../school/account/account.entity.js';
import { AccessCheckService } from '../../opens/access-check/access-check.service.js';
import { Who } from '../../school/rights/who.decorator.js';
import { ShelfService } from './shelf.service.js';

/** Tags are collections of the shelf. A tag is a word, no id: it means the caller's own materials only. */
@Controller('api/tags')
export class TagController {
  constructor(
    private readonly shelf: ShelfService,
    private readonly checks: AccessCheckService,
  ) {}

  @Get()
  list(@Who() who: Account): Promise<readonly TagView[]> {
    return this.shelf.tags(who.id);
  }

  @Post(':tag/access-checks')
  async open(@Param('tag') tag: string, @Who() who: Account): Promise<null> {
    await this.checks.ask(await this.shelf.tagged(who.id, tag));
    return null;
  }
}
