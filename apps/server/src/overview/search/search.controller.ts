import { Controller, Get, Query } from '@nestjs/common';
import type { SearchResults } from '@hapset/contract';
import type { SignedIn } from '../../school/rights/signed-in.js';
import { Who } from '../../school/rights/who.decorator.js';
import { SearchService } from './search.service.js';

@Controller('api/search')
export class SearchController {
  constructor(private readonly searching: SearchService) {}

  @Get()
  search(@Who() who: SignedIn, @Query('find') find?: string): Promise<SearchResults> {
    return this.searching.search(who.id, typeof find === 'string' ? find : '');
  }
}
