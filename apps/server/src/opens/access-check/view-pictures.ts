/** Pictures of what students see: kept for the last two checks of a material, in the storage. */
import { createHash, randomBytes } from 'node:crypto';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { In, IsNull, Not, Repository } from 'typeorm';
import { notFound } from '../../platform/problem/problem.js';
import { Storage } from '../../platform/storage/storage.js';
import { AccessCheck } from './access-check.entity.js';

const keptPerMaterial = 2;

@Injectable()
export class ViewPictures {
  constructor(
    @InjectRepository(AccessCheck) private readonly checks: Repository<AccessCheck>,
    private readonly storage: Storage,
  ) {}

  /** @returns its key: of chance, so that the same picture of two materials is erased with each */
  async keep(picture: Buffer): Promise<string> {
    const key = `${createHash('sha256').update(randomBytes(32)).digest('hex')}.jpg`;
    const folder = await mkdtemp(join(tmpdir(), 'hapset-view-'));
    try {
      const file = join(folder, 'picture');
      await writeFile(file, picture);
      await this.storage.take(key, file);
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
    return key;
  }

  /** @throws ProblemError not-found without a picture */
  async open(id: string): Promise<Readable> {
    const row = await this.checks.findOne({ where: { id }, select: { id: true, viewKey: true } });
    if (!row?.viewKey || (await this.storage.sizeOf(row.viewKey)) === null) throw notFound('picture');
    return this.storage.open(row.viewKey);
  }

  /** All but the last two of the material. */
  async removeEarlier(materialId: string): Promise<void> {
    const rows = await this.checks.find({
      where: { materialId, viewKey: Not(IsNull()) },
      select: { id: true, viewKey: true },
      order: { id: 'DESC' },
      skip: keptPerMaterial,
      take: 100,
    });
    if (rows.length === 0) return;
    await this.checks.update({ id: In(rows.map(({ id }) => id)) }, { viewKey: null });
    for (const { viewKey } of rows) if (viewKey !== null) await this.storage.remove(viewKey);
  }
}
