/** Pictures for the middle of codes: brought by upload, made small, and handed to whatever draws a code. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { LookPictureView } from '@hapset/contract';
import { lookLimits, type LookDesign } from '@hapset/core';
import sharp from 'sharp';
import { Repository } from 'typeorm';
import { Clock } from '../clock/clock.js';
import { newId } from '../database/columns.js';
import { tellMedia } from '../file/media.js';
import { notFound, ProblemError } from '../problem/problem.js';
import { UploadService } from '../upload/upload.service.js';
import { LookPicture } from './look-picture.entity.js';

/** Enough for a centre of 40 mm at 300 dots an inch. */
const widestPx = 512;
const mostPixels = 50_000_000;

@Injectable()
export class LookPictureService {
  constructor(
    @InjectRepository(LookPicture) private readonly pictures: Repository<LookPicture>,
    private readonly uploads: UploadService,
    private readonly clock: Clock,
  ) {}

  /** @throws ProblemError not-found for another's upload, unusable-picture */
  async bring(uploadId: string, ownerId: string): Promise<LookPictureView> {
    const file = await this.uploads.finished(uploadId, ownerId);
    const made = await small(file);
    const aspect = made.info.width / made.info.height;
    if (aspect < lookLimits.aspect.least || aspect > lookLimits.aspect.most) throw unusable('This picture is too long and narrow for the middle of a code.');
    const row = { id: newId(), bytes: made.data, widthPx: made.info.width, heightPx: made.info.height, createdAt: this.clock.now() };
    await this.pictures.insert(row);
    await this.uploads.end(uploadId);
    return { id: row.id, aspect };
  }

  /** PNG. @throws ProblemError not-found */
  async bytes(id: string): Promise<Buffer> {
    const found = await this.find(id);
    if (!found) throw notFound('picture');
    return found;
  }

  /** PNG; null where it is not known. */
  async find(id: string): Promise<Buffer | null> {
    return (await this.pictures.findOneBy({ id }))?.bytes ?? null;
  }

  async exists(id: string): Promise<boolean> {
    return this.pictures.existsBy({ id });
  }

  /** What a look draws with, by id. */
  async of({ centre }: LookDesign): Promise<ReadonlyMap<string, Buffer>> {
    const row = centre?.sort === 'picture' ? await this.pictures.findOneBy({ id: centre.pictureId }) : null;
    return new Map(row ? [[row.id, row.bytes]] : []);
  }
}

async function small(file: string): Promise<{ readonly data: Buffer; readonly info: { readonly width: number; readonly height: number } }> {
  try {
    if ((await tellMedia(file)).media !== 'picture') throw new TypeError('no picture');
    return await sharp(file, { limitInputPixels: mostPixels }).rotate().resize(widestPx, widestPx, { fit: 'inside', withoutEnlargement: true }).png().toBuffer({ resolveWithObject: true });
  } catch {
    throw unusable('This picture can’t be read. Save it as JPEG or PNG and bring it again.');
  }
}

function unusable(message: string): ProblemError {
  return new ProblemError('unusable-picture', message);
}
