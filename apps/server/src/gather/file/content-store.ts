/** Bytes of uploads: looked at in a limited process, and kept once however many files hold them. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { Decoder } from '../../platform/decoder/decoder.js';
import { Storage } from '../../platform/storage/storage.js';
import { OfficeCopies } from './office-copies.js';
import { StoredContent } from './stored-content.entity.js';

@Injectable()
export class ContentStore {
  constructor(
    @InjectRepository(StoredContent) private readonly contents: Repository<StoredContent>,
    private readonly storage: Storage,
    private readonly office: OfficeCopies,
    private readonly decoder: Decoder,
    private readonly clock: Clock,
  ) {}

  /** @param local a finished upload on the disk @throws ProblemError invalid, unusable-picture, busy */
  async store(local: string): Promise<StoredContent> {
    const prepared = await this.decoder.decode({ kind: 'prepare', file: local });
    const { hash, file, variants, ...facts } = prepared;
    const known = await this.contents.findOneBy({ hash });
    if (known && (await this.storage.sizeOf(hash)) !== null) {
      await this.contents.update({ hash }, { orphanedAt: null });
      return known;
    }
    const keyed = variants.map(({ name, file: local, contentType, sizeBytes }) => ({
      local,
      variant: { name, key: `${hash}.${name}`, contentType, sizeBytes },
    }));
    await this.storage.take(hash, file);
    for (const { local, variant } of keyed) await this.storage.take(variant.key, local);
    const row = {
      hash,
      ...facts,
      variants: keyed.map(({ variant }) => variant),
      storedAt: this.clock.now(),
      orphanedAt: null,
    };
    // Two uploads of the same bytes at once: the second finds the first one's row.
    await this.contents.createQueryBuilder().insert().values(row).orIgnore().execute();
    const stored = await this.contents.findOneByOrFail({ hash });
    await this.office.ask(stored);
    return stored;
  }
}
