import { Body, Controller, Delete, Get, Param, Post, Query, Res } from '@nestjs/common';
import type { PrintOrigin, PrintsPage, PrintView } from '@hapset/contract';
import type { Response } from 'express';
import { Who } from '../../school/rights/who.decorator.js';
import { writeZip } from '../picture/write-zip.js';
import { nameFile } from '../picture/send-file.js';
import { PrintList } from './print-list.js';
import { PrintService } from './print.service.js';
import { MakePrintDto } from './sheet.dto.js';
import { SheetPlacesService } from './sheet-places.js';
import type { SignedIn } from '../../school/rights/signed-in.js';
import { PrintOutput } from './print-output.js';

/** Dots an inch of pages as pictures. */
const densities = [150, 300] as const;

@Controller('api/prints')
export class PrintController {
  constructor(
    private readonly prints: PrintService,
    private readonly made: PrintList,
    private readonly output: PrintOutput,
    private readonly places: SheetPlacesService,
  ) {}

  @Get()
  list(@Who() who: SignedIn, @Query('after') after?: unknown): Promise<PrintsPage> {
    return this.made.page(who.id, typeof after === 'string' ? after : null);
  }

  @Post()
  async make(@Body() { places, choices, goAhead }: MakePrintDto, @Who() who: SignedIn): Promise<PrintView> {
    const { print } = await this.prints.make(await this.places.list(places, who), choices, goAhead, who.id);
    return this.made.viewOf(print.id);
  }

  @Get(':printId')
  print(@Param('printId') printId: string): Promise<PrintView> {
    return this.made.viewOf(printId);
  }

  @Delete(':printId')
  async remove(@Param('printId') printId: string): Promise<null> {
    await this.made.remove(printId);
    return null;
  }

  @Post(':printId/restore')
  async restore(@Param('printId') printId: string): Promise<null> {
    await this.made.restore(printId);
    return null;
  }

  @Get(':printId/origin')
  origin(@Param('printId') printId: string): Promise<PrintOrigin> {
    return this.made.origin(printId);
  }

  @Post(':printId/drawing')
  async drawAgain(@Param('printId') printId: string): Promise<PrintView> {
    await this.made.drawAgain(printId);
    return this.made.viewOf(printId);
  }

  @Delete(':printId/drawing')
  async stop(@Param('printId') printId: string): Promise<null> {
    await this.made.stop(printId);
    return null;
  }

  @Get(':printId/file')
  async file(@Param('printId') printId: string, @Res() response: Response): Promise<void> {
    const print = await this.made.require(printId);
    const pdf = await this.output.pdf(print);
    nameFile(response, { type: 'application/pdf', name: print.fileName, disposition: 'inline' }).send(pdf);
  }

  @Get(':printId/pictures')
  async pictures(
    @Param('printId') printId: string,
    @Query('dpi') asked: unknown,
    @Res() response: Response,
  ): Promise<void> {
    const print = await this.made.require(printId);
    const pictures = this.output.pictures(print, densities.find((dpi) => String(dpi) === asked) ?? densities[0]);
    // The first one is drawn before anything is sent: what can't be drawn is answered as a problem.
    const first = await pictures.next();
    nameFile(response, {
      type: 'application/zip',
      name: print.fileName.replace(/\.pdf$/, '.zip'),
      disposition: 'attachment',
    });
    await writeZip(
      (async function* () {
        if (!first.done) yield first.value;
        yield* pictures;
      })(),
      print.madeAt,
      response,
    );
  }

  @Get(':printId/pages/:pageNumber')
  async page(
    @Param('printId') printId: string,
    @Param('pageNumber') pageNumber: string,
    @Res() response: Response,
  ): Promise<void> {
    const svg = await this.output.page(await this.made.require(printId), Number(pageNumber) - 1);
    response
      .set({
        'Content-Type': 'image/svg+xml; charset=utf-8',
        'Cache-Control': 'no-store',
        'Content-Security-Policy': "default-src 'none'; img-src data:; style-src 'unsafe-inline'",
      })
      .send(svg);
  }
}
