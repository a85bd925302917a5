import { Controller, Get } from '@nestjs/common';
import type { NewsItem } from '@hapset/contract';
import type { Account } from '../../school/account/account.entity.js';
import { Who } from '../../school/rights/who.decorator.js';
import { NewsService } from './news.service.js';

@Controller('api/news')
export class NewsController {
  constructor(private readonly news: NewsService) {}

  @Get()
  list(@Who() who: Account): Promise<readonly NewsItem[]> {
    return this.news.of(who.id);
  }
}
