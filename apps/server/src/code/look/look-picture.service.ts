/** Pictures for the middle of codes: uploaded, made small, and handed to whatever draws a code. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { LookPictureView } from '@hapset/contract';
import { lookLimits, type LookDesign } from '@hapset/core';
import { Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { Decoder } from '../../platform/decoder/decoder.js';
import { notFound, ProblemError } from '../../platform/problem/problem.js';
import { UploadService } from '../../gather/upload/upload.service.js';
import { LookPicture } from './look-picture.entity.js';

/** Enough for a centre of 40 mm at 300 dots an inch. */
const widestPx = 512;

@Injectable()
export class LookPictureService {
  constructor(
    @InjectRepository(LookPicture) private readonly pictures: Repository<LookPicture>,
    private readonly uploads: UploadService,
    private readonly decoder: Decoder,
    private readonly clock: Clock,
  ) {}

  /** @throws ProblemError not-found for another's upload, unusable-picture */
  async add(uploadId: string, ownerId: string): Promise<LookPictureView> {
    const file = await this.uploads.takeFinished(uploadId, ownerId);
    return this.uploads.handedOver(uploadId, ownerId, () => this.make(file));
  }

  private async make(file: string): Promise<LookPictureView> {
    const { bytes, widthPx, heightPx } = await this.decoder.decode({ kind: 'centre', file, widestPx });
    const aspect = widthPx / heightPx;
    if (aspect < lookLimits.aspect.least || aspect > lookLimits.aspect.most)
      throw new ProblemError('unusable-picture', 'This picture is too long and narrow for the middle of a code.');
    const row = { id: newId(), bytes: Buffer.from(bytes), widthPx, heightPx, createdAt: this.clock.now() };
    await this.pictures.insert(row);
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
  async load({ centre }: LookDesign): Promise<ReadonlyMap<string, Buffer>> {
    const row = centre?.kind === 'picture' ? await this.pictures.findOneBy({ id: centre.pictureId }) : null;
    return new Map(row ? [[row.id, row.bytes]] : []);
  }
}
