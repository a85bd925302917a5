import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import type { ChangedMaterials, RemovedMaterials, ShelfMatch } from '@hapset/contract';
import type { SignedIn } from '../../school/rights/signed-in.js';
import { Who } from '../../school/rights/who.decorator.js';
import { MatchShelfDto, MaterialsRequestDto, TagMaterialsDto } from './many-materials.dto.js';
import { ManyMaterials } from './many-materials.js';

/** What is asked of several materials at once. Their ids are in the body, so the service looks whose they are. */
@Controller('api')
export class ManyMaterialsController {
  constructor(private readonly many: ManyMaterials) {}

  @Post('shelf-matches')
  @HttpCode(200)
  match(@Body() { links }: MatchShelfDto, @Who() who: SignedIn): Promise<readonly ShelfMatch[]> {
    return this.many.matchLinks(links, who.id);
  }

  @Post('material-tags')
  async tag(@Body() { materialIds, tag, tagged }: TagMaterialsDto, @Who() who: SignedIn): Promise<ChangedMaterials> {
    return { materialIds: await this.many.tag(materialIds, tag, tagged, who.id) };
  }

  @Post('material-removals')
  remove(@Body() { materialIds }: MaterialsRequestDto, @Who() who: SignedIn): Promise<RemovedMaterials> {
    return this.many.remove(materialIds, who.id);
  }

  @Post('material-restorations')
  async restore(@Body() { materialIds }: MaterialsRequestDto, @Who() who: SignedIn): Promise<null> {
    await this.many.restore(materialIds, who.id);
    return null;
  }
}
