/** Bytes of uploads: looked at in a limited process, and kept once however many files hold them. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { containerName, findingsOf, type FileFindings } from '@hapset/core';
import { Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { Decoder } from '../../platform/decoder/decoder.js';
import type { LookedInto, PreparedContent } from '../../platform/decoder/decoder.task.js';
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
    const { hash } = prepared;
    const known = await this.contents.findOneBy({ hash });
    if (known && (await this.storage.sizeOf(hash)) !== null) {
      const findings = findingsFrom(prepared);
      await this.contents.update({ hash }, { orphanedAt: null, findings });
      return { ...known, findings };
    }
    await takeIntoStorage(this.storage, prepared);
    // Two uploads of the same bytes at once: the second finds the first one's row.
    await this.contents
      .createQueryBuilder()
      .insert()
      .values(toStoredContent(prepared, this.clock.now()))
      .orIgnore()
      .execute();
    const stored = await this.contents.findOneByOrFail({ hash });
    await this.office.ask(stored);
    return stored;
  }
}

/** The bytes and their other forms, each under its key. */
export async function takeIntoStorage(storage: Storage, { hash, file, variants }: PreparedContent): Promise<void> {
  await storage.take(hash, file);
  for (const variant of variants) await storage.take(`${hash}.${variant.name}`, variant.file);
}

/** The row of prepared bytes. */
export function toStoredContent(prepared: PreparedContent, storedAt: Date): StoredContent {
  const { hash, sizeBytes, contentType, media, widthPx, heightPx, variants } = prepared;
  return {
    hash,
    sizeBytes,
    contentType,
    media,
    widthPx,
    heightPx,
    findings: findingsFrom(prepared),
    variants: variants.map(({ name, contentType: type, sizeBytes: size }) => ({
      name,
      key: `${hash}.${name}`,
      contentType: type,
      sizeBytes: size,
    })),
    storedAt,
    orphanedAt: null,
  };
}

/** What looking into a file means for showing it; null where there is nothing more to know. */
export function findingsFrom({ contentType, tracks, pages }: LookedInto): FileFindings | null {
  if (tracks === 'unsupported') return { kind: 'played', format: null, name: containerName(contentType), durationS: 0 };
  if (tracks === null || pages === null) return { kind: 'damaged' };
  if (tracks) return findingsOf({ contentType, ...tracks });
  if (pages === undefined) return null;
  return pages === 'password' ? { kind: 'password' } : { kind: 'pages', pages };
}
