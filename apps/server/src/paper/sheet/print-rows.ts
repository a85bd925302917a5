/** How far long prints are, and their files: deleted when they are old, or when what is on them became less. */
import { createHash } from 'node:crypto';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { In, IsNull, LessThan, Not, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { Storage } from '../../platform/storage/storage.js';
import { Print } from './print.entity.js';

@Injectable()
export class PrintRows {
  constructor(
    @InjectRepository(Print) private readonly prints: Repository<Print>,
    private readonly storage: Storage,
    private readonly clock: Clock,
  ) {}

  find(id: string): Promise<Print | null> {
    return this.prints.findOneBy({ id });
  }

  /** Null once it is done, stopped or failed. */
  findDrawing(id: string): Promise<Print | null> {
    return this.prints.findOneBy({ id, state: 'drawing' });
  }

  /** Draws again what had a file before. @returns whether it begins now */
  async begin(id: string): Promise<boolean> {
    const { affected } = await this.prints.update({ id, state: In(['expired', 'erased']) }, { state: 'drawing' });
    return affected === 1;
  }

  /** A print that had a file before has none still. @returns whether it was being drawn again until now */
  async putBack(id: string): Promise<boolean> {
    const { affected } = await this.prints.update(
      { id, state: 'drawing', finishedAt: Not(IsNull()) },
      { state: 'expired' },
    );
    return affected === 1;
  }

  /** @returns whether it was going on until now */
  async end(id: string, state: 'stopped' | 'failed'): Promise<boolean> {
    const { affected } = await this.prints.update({ id, state: 'drawing' }, { state, finishedAt: this.clock.now() });
    return affected === 1;
  }

  /** Keeps the file. @returns false where the print was stopped or became another one: then nothing is kept */
  async finish(print: Print, bytes: Uint8Array): Promise<boolean> {
    const { id, revision } = print;
    const storageKey = await this.store(print, bytes);
    const { affected } = await this.prints.update(
      { id, state: 'drawing', revision },
      { state: 'done', storageKey, finishedAt: this.clock.now() },
    );
    if (affected !== 1) await this.storage.remove(storageKey);
    return affected === 1;
  }

  /** As far as it has one. */
  async eraseFile(id: string): Promise<void> {
    await this.removeFiles(await this.prints.find({ where: { id, storageKey: Not(IsNull()) } }), 'erased');
  }

  /** @returns how many files went */
  async expireOld(before: Date): Promise<number> {
    const old = await this.prints.find({ where: { finishedAt: LessThan(before), storageKey: Not(IsNull()) } });
    await this.removeFiles(old, 'expired');
    return old.length;
  }

  private async store({ id, revision }: Print, bytes: Uint8Array): Promise<string> {
    const folder = await mkdtemp(join(tmpdir(), 'hapset-print-'));
    try {
      const file = join(folder, 'print.pdf');
      await writeFile(file, bytes);
      // Keys of the storage are hashes.
      const key = `${createHash('sha256').update(`print ${id} ${revision}`).digest('hex')}.pdf`;
      await this.storage.take(key, file);
      return key;
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  }

  /** That their codes are on paper is remembered. */
  private async removeFiles(prints: readonly Print[], state: 'expired' | 'erased'): Promise<void> {
    for (const { storageKey } of prints) if (storageKey !== null) await this.storage.remove(storageKey);
    if (prints.length > 0)
      await this.prints.update({ id: In(prints.map(({ id }) => id)) }, { state, storageKey: null });
  }
}
