import { Body, Controller, Get, Param, Post, Res } from '@nestjs/common';
import type { SheetView } from '@hapset/contract';
import { codeSvg, fileName, type SymbolPlan } from '@hapset/core';
import type { Response } from 'express';
import { MaterialPageService } from '../material/material-page.service.js';
import { MaterialService } from '../material/material.service.js';
import { ProblemError } from '../problem/problem.js';
import type { Place } from '../readiness/standing.js';
import { StationService } from '../station/station.service.js';
import { codePng } from './code-picture.js';
import { MakeSheetDto } from './sheet.dto.js';
import { SheetService } from './sheet.service.js';
import { toSheetView } from './sheet.view.js';

interface NamedCode {
  readonly plan: SymbolPlan;
  readonly name: string;
  readonly position: number | null;
  readonly sizeMm: number;
}

@Controller('api')
export class SheetController {
  constructor(
    private readonly sheets: SheetService,
    private readonly materials: MaterialService,
    private readonly stations: StationService,
    private readonly pages: MaterialPageService,
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
    send(response, 'application/pdf', sheet.fileName, pdf, 'inline');
  }

  @Get('materials/:materialId/code.svg')
  async materialSvg(@Param('materialId') materialId: string, @Res() response: Response): Promise<void> {
    sendSvg(response, await this.code(await this.materialPlace(materialId), null));
  }

  @Get('materials/:materialId/code.png')
  async materialPng(@Param('materialId') materialId: string, @Res() response: Response): Promise<void> {
    sendPng(response, await this.code(await this.materialPlace(materialId), null));
  }

  @Get('stations/:stationId/code.svg')
  async stationSvg(@Param('stationId') stationId: string, @Res() response: Response): Promise<void> {
    const { place, station } = await this.stations.place(stationId);
    sendSvg(response, await this.code(place, station.position));
  }

  @Get('stations/:stationId/code.png')
  async stationPng(@Param('stationId') stationId: string, @Res() response: Response): Promise<void> {
    const { place, station } = await this.stations.place(stationId);
    sendPng(response, await this.code(place, station.position));
  }

  private async materialPlace(materialId: string): Promise<Place> {
    return { material: await this.materials.require(materialId), station: null, lesson: null };
  }

  private async code(place: Place, position: number | null): Promise<NamedCode> {
    const { plan, rehearsal } = await this.pages.standing(place);
    if (!plan) throw new ProblemError('payload-too-long', 'No code can hold that much.');
    return { plan, name: place.station?.name ?? place.material.title, position, sizeMm: rehearsal.sizeMm };
  }
}

function sendSvg(response: Response, { plan, name, position, sizeMm }: NamedCode): void {
  send(response, 'image/svg+xml; charset=utf-8', fileName(name, position, 'svg'), Buffer.from(codeSvg(plan, sizeMm, name)), 'attachment');
}

function sendPng(response: Response, { plan, name, position }: NamedCode): void {
  send(response, 'image/png', fileName(name, position, 'png'), codePng(plan), 'attachment');
}

/** The file's name goes out twice (RFC 6266): plain for old programs, in UTF-8 for all others. */
function send(response: Response, type: string, name: string, body: Buffer, disposition: 'inline' | 'attachment'): void {
  const plain = name.replace(/[^\x20-\x7e]|["\\%]/g, '_');
  const encoded = encodeURIComponent(name).replace(/['()*]/g, (character) => `%${character.charCodeAt(0).toString(16).toUpperCase()}`);
  response.setHeader('Content-Type', type);
  response.setHeader('Content-Disposition', `${disposition}; filename="${plain}"; filename*=UTF-8''${encoded}`);
  response.setHeader('Cache-Control', 'private, no-cache');
  response.send(body);
}
