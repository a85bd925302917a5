import { Body, Controller, Get, Param, Put } from '@nestjs/common';
import type { EarlierPage, WrittenPageView } from '@hapset/contract';
import { SaveWrittenPageDto } from './written-page.dto.js';
import { WrittenPageService } from './written-page.service.js';

@Controller('api/materials/:materialId/page')
export class WrittenPageController {
  constructor(private readonly pages: WrittenPageService) {}

  @Get()
  read(@Param('materialId') materialId: string): Promise<WrittenPageView> {
    return this.pages.read(materialId);
  }

  @Put()
  save(@Param('materialId') materialId: string, @Body() body: SaveWrittenPageDto): Promise<WrittenPageView> {
    return this.pages.save(materialId, body);
  }

  @Get('earlier')
  earlier(@Param('materialId') materialId: string): Promise<readonly EarlierPage[]> {
    return this.pages.earlierOf(materialId);
  }
}
