/** One poster in one click, and the files of sheets. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { MakeSheet, SheetPlaces } from '@hapset/contract';
import { plainChoices, plainSheetDesign, type SheetSetup } from '@hapset/core';
import { Repository } from 'typeorm';
import { notFound } from '../../platform/problem/problem.js';
import { PrintService } from './print.service.js';
import { noTexts, type SheetOrder } from './sheet-order.js';
import type { Place } from '../../lessons/station/place.js';
import { titleOf } from './sheet-places.js';
import { SheetPlanner } from './sheet-planner.js';
import { Sheet } from './sheet.entity.js';
import { SheetWorkers } from './sheet-workers.js';
import { PrintOutput } from './print-output.js';

@Injectable()
export class SheetService {
  constructor(
    @InjectRepository(Sheet) private readonly sheets: Repository<Sheet>,
    private readonly prints: PrintService,
    private readonly output: PrintOutput,
    private readonly planner: SheetPlanner,
    private readonly workers: SheetWorkers,
  ) {}

  /** @throws ProblemError sheet-needs-go-ahead naming the warnings that were not confirmed, payload-too-long */
  async make(place: Place, { paper, goAhead }: MakeSheet, ownerId: string): Promise<Sheet> {
    const { sheets } = await this.prints.make(
      { name: titleOf(place), places: [place], asked: askedFor(place) },
      plainChoices('poster', paper, await this.planner.usualLanguages()),
      goAhead,
      ownerId,
    );
    return sheets[0] as Sheet;
  }

  /** The newest sheets of a station, or of a material wherever it hangs. */
  listOf(where: { readonly stationId: string } | { readonly materialId: string }, most: number): Promise<Sheet[]> {
    return this.sheets.find({ where, relations: { print: true }, order: { id: 'DESC' }, take: most });
  }

  /** The file of a sheet, the same each time: of its print, or of a poster that is older than those. @throws ProblemError not-found */
  async file(id: string, ownerId: string): Promise<{ sheet: Sheet; pdf: Buffer }> {
    const sheet = await this.sheets.findOne({ where: { id }, relations: { print: true } });
    if (!sheet) throw notFound('sheet');
    if (sheet.print) return { sheet, pdf: await this.output.pdf(sheet.print) };
    return {
      sheet,
      pdf: Buffer.from(
        (await this.workers.ask(ownerId, { kind: 'pdf', order: await this.oldPoster(sheet) })) as Uint8Array,
      ),
    };
  }

  private async oldPoster({ paper, content, sizeMm, madeAt }: Sheet): Promise<SheetOrder> {
    const setup: SheetSetup = {
      ...plainChoices('poster', paper),
      backs: null,
      design: plainSheetDesign('poster'),
      printerMarginMm: 5,
      head: { title: '', about: '' },
    };
    const contents = [
      {
        ...content,
        more: {
          texts: { ...noTexts, class: content.foot ?? '' },
          neededMm: sizeMm,
          rehearsedMm: sizeMm,
          picture: null,
        },
      },
    ];
    return {
      setup,
      contents,
      han: 'sc',
      pictures: await this.planner.picturesOf(contents, setup),
      title: content.title,
      madeAt: madeAt.getTime(),
    };
  }
}

function askedFor({ station, material }: Place): SheetPlaces {
  return {
    lessonId: null,
    stationIds: station ? [station.id] : [],
    materialIds: station ? [] : [material.id],
    tag: null,
  };
}
