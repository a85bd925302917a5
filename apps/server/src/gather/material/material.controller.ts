import { Body, Controller, Delete, Get, Param, Patch, Post, Query } from '@nestjs/common';
import type { CreatedMaterials, MaterialPage, MaterialView, ShelfPage } from '@hapset/contract';
import type { Account } from '../../school/account/account.entity.js';
import { Who } from '../../school/rights/who.decorator.js';
import { MaterialPageService } from '../../overview/material-page/material-page.service.js';
import { MaterialService } from './material.service.js';
import { ChangeMaterialDto, CreateMaterialsDto } from './new-material.dto.js';
import { ShelfService } from '../../overview/shelf/shelf.service.js';

@Controller('api/materials')
export class MaterialController {
  constructor(
    private readonly materials: MaterialService,
    private readonly pages: MaterialPageService,
    private readonly shelf: ShelfService,
  ) {}

  @Get()
  list(
    @Who() who: Account,
    @Query('find') find?: string,
    @Query('tag') tag?: string,
    @Query('after') after?: string,
  ): Promise<ShelfPage> {
    return this.shelf.page(who.id, {
      find: typeof find === 'string' ? find : '',
      tag: typeof tag === 'string' ? tag : null,
      after: typeof after === 'string' ? after : null,
    });
  }

  @Post()
  async create(@Body() body: CreateMaterialsDto, @Who() who: Account): Promise<CreatedMaterials> {
    const created = await this.materials.create(body.items, who.id);
    return { materialIds: created.map((material) => material.id) };
  }

  @Get(':materialId')
  async page(@Param('materialId') materialId: string): Promise<MaterialPage> {
    return this.pages.page({ material: await this.materials.require(materialId), station: null, lesson: null }, null);
  }

  @Patch(':materialId')
  async change(@Param('materialId') materialId: string, @Body() body: ChangeMaterialDto): Promise<MaterialView> {
    return this.pages.view(await this.materials.change(materialId, body));
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
