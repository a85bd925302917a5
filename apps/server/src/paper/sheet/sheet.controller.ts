import { Body, Controller, Get, HttpCode, Param, Post, Res } from '@nestjs/common';
import type { SheetsPreview, SheetView } from '@hapset/contract';
import { placeAlone } from '../../lessons/station/place.js';
import type { Response } from 'express';
import { MaterialService } from '../../gather/material/material.service.js';
import { Who } from '../../school/rights/who.decorator.js';
import { nameFile } from '../picture/send-file.js';
import { StationService } from '../../lessons/station/station.service.js';
import { printerTestPdf } from './printer-test.js';
import { PrintService } from './print.service.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { MakeSheetDto, PreviewSheetsDto } from './sheet.dto.js';
import { SheetPlacesService } from './sheet-places.js';
import { SheetService } from './sheet.service.js';
import { toSheetView } from './sheet.view.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

@Controller('api')
export class SheetController {
  constructor(
    private readonly sheets: SheetService,
    private readonly prints: PrintService,
    private readonly places: SheetPlacesService,
    private readonly materials: MaterialService,
    private readonly stations: StationService,
    private readonly school: SchoolService,
  ) {}

  @Post('materials/:materialId/sheets')
  async makeOfMaterial(
    @Param('materialId') materialId: string,
    @Body() body: MakeSheetDto,
    @Who() who: SignedIn,
  ): Promise<SheetView> {
    const place = placeAlone(await this.materials.require(materialId));
    return toSheetView(await this.sheets.make(place, body, who.id));
  }

  @Post('stations/:stationId/sheets')
  async makeOfStation(
    @Param('stationId') stationId: string,
    @Body() body: MakeSheetDto,
    @Who() who: SignedIn,
  ): Promise<SheetView> {
    const { place } = await this.stations.place(stationId);
    return toSheetView(await this.sheets.make(place, body, who.id));
  }

  @Get('sheets/:sheetId/file')
  async file(@Param('sheetId') sheetId: string, @Who() who: SignedIn, @Res() response: Response): Promise<void> {
    const { sheet, pdf } = await this.sheets.file(sheetId, who.id);
    nameFile(response, { type: 'application/pdf', name: sheet.fileName, disposition: 'inline' }).send(pdf);
  }

  @Post('sheet-previews')
  @HttpCode(200)
  async preview(@Body() { places, choices, page }: PreviewSheetsDto, @Who() who: SignedIn): Promise<SheetsPreview> {
    return this.prints.preview(await this.places.list(places, who), { choices, page }, who.id);
  }

  @Get('printer-test')
  async printerTest(@Res() response: Response): Promise<void> {
    await this.school.notePrinterTest();
    const { paper, duplexEdge, duplexRightMm, duplexDownMm, printerMarginMm } = await this.school.get();
    const pdf = await printerTestPdf({
      paper,
      printerMarginMm,
      edge: duplexEdge,
      adjustment: { rightMm: duplexRightMm, downMm: duplexDownMm },
    });
    nameFile(response, { type: 'application/pdf', name: 'Printer test, both sides.pdf', disposition: 'inline' }).send(
      pdf,
    );
  }
}
