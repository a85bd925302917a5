/** Makes sheets: warns first, remembers what was printed, draws the file from what was remembered. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { MakeSheet, SheetWarning } from '@hapset/contract';
import { drawCode, hostNameOf, isLoopbackHost, fileName, layoutPoster, plainLook, planSymbol, posterCodeMm, shortAddressInLetters, type CodeDrawing, type PaperFormat, type PosterLayout } from '@hapset/core';
import { iconOf } from '@hapset/core/icons';
import { Repository } from 'typeorm';
import { Clock } from '../clock/clock.js';
import { newId } from '../database/columns.js';
import { LookPictureService } from '../look/look-picture.service.js';
import { MaterialPageService } from '../material/material-page.service.js';
import { notFound, ProblemError } from '../problem/problem.js';
import type { Standing } from '../readiness/readiness.service.js';
import type { Place } from '../readiness/standing.js';
import { drawPosterPdf } from './poster-pdf.js';
import { measureText, missingCharacters } from './sheet-fonts.js';
import { tapLine } from './tap-words.js';
import { Sheet, type SheetContent } from './sheet.entity.js';

@Injectable()
export class SheetService {
  constructor(
    @InjectRepository(Sheet) private readonly sheets: Repository<Sheet>,
    private readonly pages: MaterialPageService,
    private readonly lookPictures: LookPictureService,
    private readonly clock: Clock,
  ) {}

  /**
   * @param position the station's number, null outside a lesson
   * @throws ProblemError sheet-needs-go-ahead naming the warnings that were not confirmed, payload-too-long
   */
  async make(place: Place, position: number | null, { kind, paper, goAhead }: MakeSheet): Promise<Sheet> {
    const standing = await this.pages.standing(place);
    if (!standing.code) throw new ProblemError('payload-too-long', 'No code can hold that much.');
    const content = contentOf(standing);
    const { drawing } = standing.code;
    const sizeMm = posterCodeMm(drawing, standing.look.design, paper, standing.rehearsal.distanceM, standing.rehearsal.devices, standing.rehearsal.chosenSizeMm);
    const layout = layoutOf(content, paper, drawing, sizeMm);
    const open = warningsOf(standing, content, layout).filter((warning) => !goAhead.includes(warning));
    if (open.length > 0) throw new ProblemError('sheet-needs-go-ahead', 'There is something to look at before this is printed.', { warnings: open });
    const sheet = this.sheets.create({
      id: newId(),
      materialId: place.material.id,
      stationId: place.station?.id ?? null,
      kind,
      paper,
      sizeMm,
      content,
      fileName: fileName(`${content.title}, poster`, position, 'pdf'),
      madeAt: this.clock.now(),
    });
    await this.sheets.insert(sheet);
    return sheet;
  }

  /** The file of a sheet, the same each time. */
  async file(id: string): Promise<{ sheet: Sheet; pdf: Buffer }> {
    const sheet = await this.sheets.findOneBy({ id });
    if (!sheet) throw notFound('sheet');
    const { payload, level, look = plainLook, title } = sheet.content;
    const planned = planSymbol(payload, level);
    if (!planned.ok) throw new ProblemError('payload-too-long', 'No code can hold that much.');
    const drawing = drawCode(planned.value, { look, name: title, iconOf, measure: measureText });
    const layout = layoutOf(sheet.content, sheet.paper, drawing, sheet.sizeMm);
    const pictures = await this.lookPictures.of(look);
    return { sheet, pdf: await drawPosterPdf(layout, drawing, title, sheet.madeAt, pictures) };
  }
}

function contentOf({ place, plan, code, payload, look, readiness, rehearsal }: Standing): SheetContent {
  const { material, station, lesson } = place;
  const instruction = station?.instruction ?? material.instruction;
  return {
    payload,
    ...(plan && { level: plan.level }),
    ...(look.id !== null && { look: look.design }),
    title: station?.name ?? material.title,
    instruction,
    tap: tapLine(readiness.carries.act, rehearsal.devices, instruction),
    address: code === null || code.carry === 'words' ? null : code.carry === 'short-link' ? shortAddressInLetters(payload) : payload,
    foot: lesson ? [lesson.name, lesson.class?.name, lesson.place].filter((part) => part).join(' · ') : '',
  };
}

function layoutOf(content: SheetContent, paper: PaperFormat, { modules, surround }: CodeDrawing, codeSizeMm: number): PosterLayout {
  const { title, instruction, tap = '', address, foot } = content;
  return layoutPoster({ paper, title, instruction, tap, address, foot, modules, surround, codeSizeMm }, measureText);
}

/** Product rules: a locked station, or one that does not read from where students stand, is printed on purpose only. */
function warningsOf({ place, code, look, readiness }: Standing, content: SheetContent, layout: PosterLayout): readonly SheetWarning[] {
  const warnings: SheetWarning[] = [];
  if (readiness.opens.state === 'stop') warnings.push('locked');
  if (readiness.opens.state === 'not-yet') warnings.push('not-opened-yet');
  if (readiness.reads.state === 'look-at' || readiness.reads.state === 'stop') warnings.push('does-not-read');
  if ((place.material.pageToken !== null || code?.carry === 'short-link') && isLoopbackHost(hostNameOf(content.payload) ?? '')) warnings.push('address-not-reachable');
  if (layout.cut.length > 0) warnings.push('text-cut');
  const missing = [...missingCharacters(content.title, 'heading'), ...missingCharacters(content.instruction + content.foot, 'text'), ...missingCharacters(content.address ?? '', 'mono'), ...missingCharacters(look.design.caption?.words ?? '', 'text-bold')];
  if (missing.length > 0) warnings.push('missing-characters');
  return warnings;
}
