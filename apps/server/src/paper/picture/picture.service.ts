/** Pictures of codes, named by use: how large each is, and what is in it. */
import { Injectable } from '@nestjs/common';
import type { PictureOptions } from '@hapset/contract';
import { documentSizesMm, fileName } from '@hapset/core';
import { Clock } from '../../platform/clock/clock.js';
import { LookPictureService } from '../../code/look/look-picture.service.js';
import { notFound, ProblemError } from '../../platform/problem/problem.js';
import { codePicture, fileEndings, pixelsAt, type CodeSize, type CodeToDraw } from './code-picture.js';
import { MaterialService } from '../../gather/material/material.service.js';
import { placeAlone, type Place } from '../../lessons/station/place.js';
import { PlacedCodeService } from '../../reads/placed-code/placed-code.service.js';
import type { PlacedCode } from '../../reads/placed-code/placed-code.js';

export interface NamedPicture {
  readonly name: string;
  readonly bytes: Buffer;
}

/** Larger than any classroom's board shows; a multiple of nothing, so that modules stay whole. */
const boardPx = 2160;

@Injectable()
export class PictureService {
  constructor(
    private readonly materials: MaterialService,
    private readonly codes: PlacedCodeService,
    private readonly lookPictures: LookPictureService,
    private readonly clock: Clock,
  ) {}

  /** @param position the station's number, null outside a lesson. @throws ProblemError payload-too-long */
  async draw(place: Place, position: number | null, options: PictureOptions): Promise<NamedPicture> {
    const picture = await this.drawPlaced(await this.codes.find(place), position, options);
    if (!picture) throw new ProblemError('payload-too-long', 'No code can hold that much.');
    return picture;
  }

  /** Of many places, in their order; null where no code holds the payload. Drawn one at a time, as they are taken. */
  async *drawAll(
    places: readonly Place[],
    options: PictureOptions,
  ): AsyncGenerator<{ readonly place: Place; readonly picture: NamedPicture | null }> {
    const codes = await this.codes.list(places);
    for (const [index, placed] of codes.entries())
      yield { place: placed.place, picture: await this.drawPlaced(placed, index + 1, options) };
  }

  /** The code of a picture that is shown to web pages. @throws ProblemError not-found while it is switched off */
  async shown(pictureToken: string): Promise<CodeToDraw> {
    const material = await this.materials.findShownPicture(pictureToken);
    if (!material) throw notFound('picture');
    const code = await this.codeOf(await this.codes.find(placeAlone(material)));
    if (!code) throw notFound('picture');
    return code;
  }

  private async drawPlaced(
    placed: PlacedCode,
    position: number | null,
    options: PictureOptions,
  ): Promise<NamedPicture | null> {
    const code = await this.codeOf(placed);
    if (!code) return null;
    return {
      name: fileName(code.name, position, fileEndings[options.format]),
      bytes: await codePicture(code, options.format, sizeFor(options, placed, code)),
    };
  }

  private async codeOf({ plan, code, look, place }: PlacedCode): Promise<CodeToDraw | null> {
    if (!plan || !code) return null;
    const pictures = await this.lookPictures.load(look.design);
    return {
      plan,
      look: look.design,
      drawing: code.drawing,
      name: place.station?.name ?? place.material.title,
      pictures,
      madeAt: this.clock.now(),
    };
  }
}

function sizeFor(
  { use, dpi }: PictureOptions,
  { rehearsal }: PlacedCode,
  { plan: { modules }, look }: CodeToDraw,
): CodeSize {
  switch (use) {
    case 'printing':
      return { sizeMm: rehearsal.sizeMm, pixelsPerModule: pixelsAt(rehearsal.sizeMm, modules, dpi) };
    case 'document': {
      const sizeMm = documentSizesMm(modules, rehearsal.devices, look).suits;
      return { sizeMm, pixelsPerModule: pixelsAt(sizeMm, modules, dpi) };
    }
    case 'board':
      return { sizeMm: null, pixelsPerModule: Math.max(1, Math.floor(boardPx / modules)) };
  }
}
