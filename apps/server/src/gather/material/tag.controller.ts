import { Controller, Get } from '@nestjs/common';
import type { TagView } from '@hapset/contract';
import { Who } from '../../school/rights/who.decorator.js';
import { MaterialFinder } from './material-finder.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

/** Tags are collections of the shelf. */
@Controller('api/tags')
export class TagController {
  constructor(private readonly finder: MaterialFinder) {}

  @Get()
  list(@Who() who: SignedIn): Promise<readonly TagView[]> {
    return this.finder.listTags(who.id);
  }
}
