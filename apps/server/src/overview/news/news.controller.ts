import { Controller, Get } from '@nestjs/common';
import type { NewsItem } from '@hapset/contract';
import { Who } from '../../school/rights/who.decorator.js';
import { NewsService } from './news.service.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

@Controller('api/news')
export class NewsController {
  constructor(private readonly news: NewsService) {}

  @Get()
  list(@Who() who: SignedIn): Promise<readonly NewsItem[]> {
    return this.news.list(who.id);
  }
}
