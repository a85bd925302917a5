/** What is known of kept things: what each file contains, and how much text a page has. */
import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import { pipeline } from 'node:stream/promises';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { documentText, filesOf, isLookedInto, type FileFacts, type Kept, type KeptFacts } from '@hapset/core';
import { Repository } from 'typeorm';
import { Decoder } from '../../platform/decoder/decoder.js';
import { Storage } from '../../platform/storage/storage.js';
import { findingsFrom } from './content-store.js';
import { FileService } from './file.service.js';
import type { KeptFile } from './kept-file.entity.js';
import { StoredContent } from './stored-content.entity.js';

@Injectable()
export class KeptFactsService {
  constructor(
    @InjectRepository(StoredContent) private readonly contents: Repository<StoredContent>,
    private readonly files: FileService,
    private readonly storage: Storage,
    private readonly decoder: Decoder,
  ) {}

  /** Looks into files that were kept before anybody did. */
  async find(kept: Kept): Promise<KeptFacts> {
    const ids = shownIn(kept);
    const found = await this.files.byIds(ids);
    const files: (FileFacts | null)[] = [];
    for (const id of ids) files.push(await this.factsOf(found.get(id)));
    const characters = kept.kind === 'written-page' ? documentText(kept.document).replace(/\s+/g, '').length : 0;
    return { kind: kept.kind, files, characters };
  }

  /** Bytes of the first picture that it shows, as phones get it; null without one. */
  async firstPicture(kept: Kept): Promise<Uint8Array | null> {
    const ids = shownIn(kept);
    const found = await this.files.byIds(ids);
    const first = ids.map((id) => found.get(id)).find((file) => file?.content.media === 'picture');
    const key = first?.content.variants.find(({ name }) => name === 'w640')?.key;
    return key === undefined || (await this.storage.sizeOf(key)) === null ? null : buffer(this.storage.open(key));
  }

  private async factsOf(file: KeptFile | undefined): Promise<FileFacts | null> {
    if (!file || file.removedAt !== null) return null;
    const { name, content } = file;
    const { media, contentType, sizeBytes } = content;
    const findings = content.findings ?? (isLookedInto(media) ? await this.lookInto(content) : null);
    return {
      name,
      media,
      contentType,
      sizeBytes,
      findings,
      hasPdf: content.variants.some((each) => each.name === 'pdf'),
    };
  }

  /** Null where it takes more time or memory than it may: then it is asked again next time. */
  private async lookInto({ hash }: StoredContent): Promise<FileFacts['findings']> {
    const folder = await mkdtemp(join(tmpdir(), 'hapset-look-'));
    try {
      const local = join(folder, 'content');
      await pipeline(this.storage.open(hash), createWriteStream(local));
      const findings = findingsFrom(await this.decoder.decode({ kind: 'look-into', file: local }));
      await this.contents.update({ hash }, { findings });
      return findings;
    } catch {
      return null;
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  }
}

/** Ids of what students see of it; captions are no thing of their own. */
function shownIn(kept: Kept): readonly string[] {
  return kept.kind === 'file' ? [kept.fileId] : filesOf(kept);
}
