/** A teacher's kept files: added, named, replaced, removed. The same bytes are kept once. */
import { randomInt } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { limits, type ReplaceFile } from '@hapset/contract';
import { In, IsNull, LessThan, Repository, type EntityManager } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { inUse, notFound, stale } from '../../platform/problem/problem.js';
import { UploadService } from '../upload/upload.service.js';
import { FileEvents } from './file-events.js';
import { FileUse } from './file-use.entity.js';
import { KeptFile } from './kept-file.entity.js';
import { ContentStore } from './content-store.js';

export interface UsedIn {
  readonly fileId: string;
  readonly id: string;
  readonly title: string;
}

@Injectable()
export class FileService {
  constructor(
    @InjectRepository(KeptFile) private readonly files: Repository<KeptFile>,
    private readonly contents: ContentStore,
    private readonly uploads: UploadService,
    private readonly events: FileEvents,
    private readonly clock: Clock,
  ) {}

  /** One more than a page, newest first. @param after the last id of the page before */
  list(ownerId: string, after: string | null): Promise<KeptFile[]> {
    return this.files.find({
      where: { ownerId, removedAt: IsNull(), ...(after !== null && { id: LessThan(after) }) },
      relations: { content: true },
      order: { id: 'DESC' },
      take: limits.shelfPage + 1,
    });
  }

  /** The owner's files with those ids. @throws ProblemError not-found when one is missing */
  async requireOwn(ids: readonly string[], ownerId: string): Promise<readonly KeptFile[]> {
    const wanted = [...new Set(ids)];
    const found =
      wanted.length === 0
        ? []
        : await this.files.find({
            where: { id: In(wanted), ownerId, removedAt: IsNull() },
            relations: { content: true },
          });
    if (found.length !== wanted.length) throw notFound('file');
    return found;
  }

  /** Files by their ids, whoever owns them: for showing what a material holds. */
  async byIds(ids: readonly string[]): Promise<ReadonlyMap<string, KeptFile>> {
    const found =
      ids.length === 0
        ? []
        : await this.files.find({ where: { id: In([...new Set(ids)]) }, relations: { content: true } });
    return new Map(found.map((file) => [file.id, file]));
  }

  /** @throws ProblemError not-found */
  async byToken(token: string): Promise<KeptFile> {
    const found = await this.files.findOne({ where: { token, removedAt: IsNull() }, relations: { content: true } });
    if (!found) throw notFound('file');
    return found;
  }

  /** Whether a material that students can open now shows it. @param today in the school's zone, `YYYY-MM-DD` */
  async isShown(id: string, today: string): Promise<boolean> {
    const rows: unknown = await this.files.query(
      'SELECT 1 FROM file_uses JOIN materials ON materials.id = file_uses.material_id WHERE file_uses.file_id = ? AND materials.removed_at IS NULL AND (materials.shown_until IS NULL OR materials.shown_until >= ?) LIMIT 1',
      [id, today],
    );
    return Array.isArray(rows) && rows.length > 0;
  }

  /** Makes a finished upload a file; the same upload once. @throws ProblemError not-found, invalid, unusable-picture, busy */
  async add(uploadId: string, name: string, ownerId: string): Promise<KeptFile> {
    const local = await this.uploads.takeFinished(uploadId, ownerId);
    return this.uploads.handedOver(uploadId, ownerId, () => this.make(local, name, ownerId));
  }

  private async make(local: string, name: string, ownerId: string): Promise<KeptFile> {
    const content = await this.contents.store(local);
    const row = {
      id: newId(),
      ownerId,
      token: newToken(),
      name: tidyName(name),
      contentHash: content.hash,
      version: 1,
      createdAt: this.clock.now(),
      removedAt: null,
    };
    await this.files.insert(row);
    return this.files.create({ ...row, content });
  }

  /** Puts other bytes, with their own name, under the same address. @throws ProblemError not-found, unusable-picture, busy */
  async replace(id: string, { uploadId, name }: ReplaceFile, ownerId: string): Promise<KeptFile> {
    const before = await this.files.findOneByOrFail({ id });
    const local = await this.uploads.takeFinished(uploadId, ownerId);
    await this.uploads.handedOver(uploadId, ownerId, async () => {
      const { hash: contentHash } = await this.contents.store(local);
      await this.files.update({ id }, { contentHash, name: tidyName(name), version: () => 'version + 1' });
    });
    const after = await this.files.findOneOrFail({ where: { id }, relations: { content: true } });
    await this.events.replaced({ id, nameBefore: before.name, nameAfter: after.name });
    return after;
  }

  /** @throws ProblemError stale */
  async rename(id: string, name: string, version: number): Promise<KeptFile> {
    const { affected } = await this.files.update(
      { id, version, removedAt: IsNull() },
      { name: tidyName(name), version: version + 1 },
    );
    if (affected !== 1) throw stale('file');
    return this.files.findOneOrFail({ where: { id }, relations: { content: true } });
  }

  /** It can be restored for a day. @throws ProblemError in-use, naming the materials that show it */
  async remove(id: string): Promise<void> {
    const uses = await this.usesOf([id]);
    if (uses.length > 0) throw inUse('material', { names: uses.map(({ title }) => title) });
    await this.files.update({ id }, { removedAt: this.clock.now() });
  }

  async restore(id: string): Promise<void> {
    await this.files.update({ id }, { removedAt: null });
  }

  /** Materials on the shelf that show those files. */
  async usesOf(fileIds: readonly string[]): Promise<readonly UsedIn[]> {
    if (fileIds.length === 0) return [];
    const rows: unknown = await this.files.query(
      `SELECT file_uses.file_id AS fileId, materials.id AS id, materials.title AS title FROM file_uses JOIN materials ON materials.id = file_uses.material_id
       WHERE file_uses.file_id IN (${fileIds.map(() => '?').join(',')}) AND materials.removed_at IS NULL ORDER BY materials.title, materials.id`,
      [...fileIds],
    );
    return rows as UsedIn[];
  }

  /** Bytes that a teacher's files take, each content counted once. */
  async usedBytes(ownerId: string): Promise<number> {
    const rows: unknown = await this.files.query(
      `SELECT COALESCE(SUM(size_bytes), 0) AS used FROM stored_contents
       WHERE hash IN (SELECT content_hash FROM kept_files WHERE owner_id = ? AND removed_at IS NULL)`,
      [ownerId],
    );
    return Number((rows as { used: string | number }[])[0]?.used ?? 0);
  }
}

/** Writes down which files a material shows. */
export async function setFileUses(
  manager: EntityManager,
  materialId: string,
  fileIds: readonly string[],
): Promise<void> {
  await manager.delete(FileUse, { materialId });
  if (fileIds.length > 0)
    await manager.insert(
      FileUse,
      [...new Set(fileIds)].map((fileId) => ({ materialId, fileId })),
    );
}

const tokenLetters = 'abcdefghijkmnpqrstuvwxyz23456789';

/** 16 letters of 32, 80 bits: nobody guesses it. Without l, o, 0 and 1, since people read addresses aloud. */
export function newToken(): string {
  return Array.from({ length: 16 }, () => tokenLetters[randomInt(tokenLetters.length)]).join('');
}

/** The name without folders and control characters; "File" where nothing is left. */
function tidyName(name: string): string {
  const tidy = name
    .normalize('NFC')
    .replace(/^.*[\\/]/, '')
    .replace(/\p{C}/gu, '')
    .trim();
  return tidy.slice(0, limits.fileNameLength) || 'File';
}
