/** Pictures of codes, named by use: how large each is, and what is in it. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { PictureWish } from '@hapset/contract';
import { documentSizesMm, fileName } from '@hapset/core';
import { IsNull, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { LookPictureService } from '../../code/look/look-picture.service.js';
import { newToken } from '../../gather/file/file.service.js';
import { Material } from '../../gather/material/material.entity.js';
import { notFound, ProblemError } from '../../platform/problem/problem.js';
import { ReadinessService, type Standing } from '../../overview/readiness/readiness.service.js';
import type { Place } from '../../overview/readiness/standing.js';
import { codePicture, fileEndings, pixelsAt, type CodeSize, type CodeToDraw } from './code-picture.js';

export interface NamedPicture {
  readonly name: string;
  readonly bytes: Buffer;
}

/** Larger than any classroom's board shows; a multiple of nothing, so that modules stay whole. */
const boardPx = 2160;

@Injectable()
export class PictureService {
  constructor(
    @InjectRepository(Material) private readonly materials: Repository<Material>,
    private readonly readiness: ReadinessService,
    private readonly lookPictures: LookPictureService,
    private readonly clock: Clock,
  ) {}

  /** @param position the station's number, null outside a lesson. @throws ProblemError payload-too-long */
  async of(place: Place, position: number | null, wish: PictureWish): Promise<NamedPicture> {
    const [standing] = await this.readiness.of([place]);
    const picture = standing ? await this.draw(standing, position, wish) : null;
    if (!picture) throw new ProblemError('payload-too-long', 'No code can hold that much.');
    return picture;
  }

  /** Of many places, in their order; null where no code holds the payload. Drawn one at a time, as they are taken. */
  async *ofAll(
    places: readonly Place[],
    wish: PictureWish,
  ): AsyncGenerator<{ readonly place: Place; readonly picture: NamedPicture | null }> {
    const standings = await this.readiness.of(places);
    for (const [index, standing] of standings.entries())
      yield { place: standing.place, picture: await this.draw(standing, index + 1, wish) };
  }

  /** The code of a picture that is shown to web pages. @throws ProblemError not-found while it is switched off */
  async shown(pictureToken: string): Promise<CodeToDraw> {
    const material = await this.materials.findOneBy({ pictureToken, pictureShown: true, removedAt: IsNull() });
    if (!material) throw notFound('picture');
    const [standing] = await this.readiness.of([{ material, station: null, lesson: null }]);
    const code = standing ? await this.codeOf(standing) : null;
    if (!code) throw notFound('picture');
    return code;
  }

  /** Once shown, its address stays: switched off and on again, it is the same. */
  async show({ id, pictureToken }: Material, shown: boolean): Promise<void> {
    await this.materials.update(
      { id },
      { pictureShown: shown, ...(pictureToken === null && shown && { pictureToken: newToken() }) },
    );
  }

  private async draw(standing: Standing, position: number | null, wish: PictureWish): Promise<NamedPicture | null> {
    const code = await this.codeOf(standing);
    if (!code) return null;
    return {
      name: fileName(code.name, position, fileEndings[wish.format]),
      bytes: await codePicture(code, wish.format, sizeFor(wish, standing, code)),
    };
  }

  private async codeOf({ plan, code, look, place }: Standing): Promise<CodeToDraw | null> {
    if (!plan || !code) return null;
    const pictures = await this.lookPictures.of(look.design);
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
  { use, dpi }: PictureWish,
  { rehearsal }: Standing,
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
