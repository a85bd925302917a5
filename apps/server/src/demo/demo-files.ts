/** Draws and synthesises the demo's media, and keeps them as files of a teacher's, by the way that uploads go. */
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import type { EntityManager } from 'typeorm';
import { newId } from '../platform/database/columns.js';
import { Decoder } from '../platform/decoder/decoder.js';
import { takeIntoStorage, toStoredContent } from '../gather/file/content-store.js';
import { newToken } from '../gather/file/file.service.js';
import { KeptFile } from '../gather/file/kept-file.entity.js';
import { StoredContent } from '../gather/file/stored-content.entity.js';
import type { Storage } from '../platform/storage/storage.js';
import { rockPools } from './media/rock-pools.js';
import { shoreSounds } from './media/shore-sounds.js';

/** Made when they are asked for. Names are those of the files. */
const media: Readonly<Record<string, () => Buffer | Promise<Buffer>>> = {
  'shore-sounds.wav': shoreSounds,
  ...Object.fromEntries(
    Object.entries(rockPools).map(([name, svg]) => [
      `${name}.png`,
      () => sharp(Buffer.from(svg)).png({ palette: true }).toBuffer(),
    ]),
  ),
};

export class DemoFiles {
  private readonly decoder = new Decoder();

  constructor(
    private readonly manager: EntityManager,
    private readonly storage: Storage,
    private readonly now: Date,
  ) {}

  /** Keeps the media of that name. Returns the file's id. */
  async keep(name: string, ownerId: string): Promise<string> {
    const make = media[name];
    if (!make) throw new Error(`demo/scenario.json names ${name}, which nobody draws or synthesises`);
    const folder = await mkdtemp(join(tmpdir(), 'hapset-demo-'));
    try {
      await writeFile(join(folder, 'made'), await make());
      const prepared = await this.decoder.decode({ kind: 'prepare', file: join(folder, 'made') });
      await takeIntoStorage(this.storage, prepared);
      await this.manager
        .createQueryBuilder()
        .insert()
        .into(StoredContent)
        .values(toStoredContent(prepared, this.now))
        .orIgnore()
        .execute();
      // The same drawing may be shown twice; each place has a file of its own.
      const id = newId();
      await this.manager.insert(KeptFile, {
        id,
        ownerId,
        token: newToken(),
        name,
        contentHash: prepared.hash,
        version: 1,
        createdAt: this.now,
        removedAt: null,
      });
      return id;
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  }
}
