import { Body, Controller, Delete, Param, Patch, Post } from '@nestjs/common';
import type { CreatedMaterials, MaterialView } from '@hapset/contract';
import { Who } from '../../school/rights/who.decorator.js';
import { MaterialService } from './material.service.js';
import { ChangeMaterialDto, CreateMaterialsDto } from './new-material.dto.js';
import type { SignedIn } from '../../school/rights/signed-in.js';
import { MaterialViews } from './material-views.js';

@Controller('api/materials')
export class MaterialController {
  constructor(
    private readonly materials: MaterialService,
    private readonly views: MaterialViews,
  ) {}

  @Post()
  async create(@Body() body: CreateMaterialsDto, @Who() who: SignedIn): Promise<CreatedMaterials> {
    const created = await this.materials.create(body.items, who.id);
    return { materialIds: created.map((material) => material.id) };
  }

  @Patch(':materialId')
  async change(@Param('materialId') materialId: string, @Body() body: ChangeMaterialDto): Promise<MaterialView> {
    return this.views.view(await this.materials.change(materialId, body));
  }

  @Delete(':materialId')
  async remove(@Param('materialId') materialId: string): Promise<null> {
    await this.materials.remove(materialId);
    return null;
  }

  @Post(':materialId/restore')
  async restore(@Param('materialId') materialId: string): Promise<null> {
    await this.materials.restore(materialId);
    return null;
  }
}
