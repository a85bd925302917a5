import { Body, Controller, Get, Param, Post, Res } from '@nestjs/common';
import type { SheetView } from '@hapset/contract';
import type { Response } from 'express';
import { MaterialService } from '../material/material.service.js';
import { nameFile } from '../picture/send-file.js';
import type { Place } from '../readiness/standing.js';
import { StationService } from '../station/station.service.js';
import { MakeSheetDto } from './sheet.dto.js';
import { SheetService } from './sheet.service.js';
import { toSheetView } from './sheet.view.js';

@Controller('api')
export class SheetController {
  constructor(
    private readonly sheets: SheetService,
    private readonly materials: MaterialService,
    private readonly stations: StationService,
  ) {}

  @Post('materials/:materialId/sheets')
  async makeOfMaterial(@Param('materialId') materialId: string, @Body() body: MakeSheetDto): Promise<SheetView> {
    return toSheetView(await this.sheets.make(await this.materialPlace(materialId), null, body));
  }

  @Post('stations/:stationId/sheets')
  async makeOfStation(@Param('stationId') stationId: string, @Body() body: MakeSheetDto): Promise<SheetView> {
    const { place, station } = await this.stations.place(stationId);
    return toSheetView(await this.sheets.make(place, station.position, body));
  }

  @Get('sheets/:sheetId/file')
  async file(@Param('sheetId') sheetId: string, @Res() response: Response): Promise<void> {
    const { sheet, pdf } = await this.sheets.file(sheetId);
    nameFile(response, { type: 'application/pdf', name: sheet.fileName, disposition: 'inline' }).send(pdf);
  }

  private async materialPlace(materialId: string): Promise<Place> {
    return { material: await this.materials.require(materialId), station: null, lesson: null };
  }
}
