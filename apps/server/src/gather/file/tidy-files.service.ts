/** Removes what nobody holds any more: files that were removed a day ago or never used, bytes without a file, uploads given up. */
import { Inject, Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { JobService } from '../../platform/queue/job.service.js';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { Loop } from '../../platform/loop/loop.js';
import { isStorageKey, Storage } from '../../platform/storage/storage.js';
import { UploadService } from '../upload/upload.service.js';
import { StoredContent } from './stored-content.entity.js';

export const tidyJob = 'tidy-files';
export const compareJob = 'compare-files';
const nobodyWaits = -1;
const hourMs = 3600 * 1000;
/** Time to undo a removal. */
const removedForMs = 24 * hourMs;
/** Time to restore a material that was taken off the shelf, with its files. */
const unusedForMs = 30 * 24 * hourMs;
/** Bytes without a file wait a little: the same might be uploaded again. */
const orphanedForMs = hourMs;

@Injectable()
export class TidyFilesService implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly loop: Loop;
  private readonly daily: Loop;

  constructor(
    @InjectRepository(StoredContent) private readonly contents: Repository<StoredContent>,
    private readonly storage: Storage,
    private readonly uploads: UploadService,
    jobs: JobService,
    private readonly clock: Clock,
    @Inject(LOGGER) private readonly logger: AppLogger,
  ) {
    jobs.handle({ name: tidyJob, pool: 'cores', work: () => this.tidy() });
    jobs.handle({ name: compareJob, pool: 'cores', work: async () => void (await this.compareWithDisk()) });
    this.daily = new Loop(() => jobs.enqueue({ kind: compareJob, subject: 'all', priority: nobodyWaits }), {
      name: 'ask for the comparison of files',
      everyMs: 24 * hourMs,
      logger,
    });
    this.loop = new Loop(() => jobs.enqueue({ kind: tidyJob, subject: 'all', priority: nobodyWaits }), {
      name: 'ask for the tidying of files',
      everyMs: hourMs,
      logger,
    });
  }

  onApplicationBootstrap(): void {
    this.loop.start();
    this.daily.start();
  }

  async beforeApplicationShutdown(): Promise<void> {
    await this.loop.stop();
    await this.daily.stop();
  }

  async tidy(): Promise<void> {
    await this.uploads.giveUpOld();
    await this.forgetFiles();
    await this.forgetBytes();
  }

  /** Files on the disk that no row knows count for nobody and belong to nobody: removed once they are a day old. */
  async compareWithDisk(): Promise<{ readonly removed: number; readonly missing: number }> {
    let removed = await this.uploads.removeUnknown();
    const known = new Set(await this.knownKeys());
    const seen = new Set<string>();
    const old = Date.now() - removedForMs;
    for await (const { key, changedAtMs } of this.storage.list()) {
      seen.add(key);
      if (known.has(key) || changedAtMs > old || !isStorageKey(key)) continue;
      await this.storage.remove(key);
      removed += 1;
    }
    const missing = [...known].filter((key) => !seen.has(key)).length;
    if (removed > 0 || missing > 0)
      this.logger.warn({ removed, missing }, 'files on the disk and in the database differed');
    return { removed, missing };
  }

  private async knownKeys(): Promise<readonly string[]> {
    const contents = await this.contents.find({ select: { hash: true, variants: true } });
    const prints = (await this.contents.query(
      'SELECT storage_key AS storageKey FROM prints WHERE storage_key IS NOT NULL',
    )) as { storageKey: string }[];
    const views = (await this.contents.query(
      'SELECT view_key AS viewKey FROM access_checks WHERE view_key IS NOT NULL',
    )) as { viewKey: string }[];
    return [
      ...contents.flatMap(({ hash, variants }) => [hash, ...variants.map(({ key }) => key)]),
      ...prints.map(({ storageKey }) => storageKey),
      ...views.map(({ viewKey }) => viewKey),
    ];
  }

  private async forgetFiles(): Promise<void> {
    const now = this.clock.now().getTime();
    await this.contents.query(
      'DELETE FROM kept_files WHERE removed_at < ? AND id NOT IN (SELECT file_id FROM file_uses)',
      [new Date(now - removedForMs)],
    );
    await this.contents.query(
      'DELETE FROM materials WHERE removed_at < ? AND kept IS NOT NULL AND id NOT IN (SELECT material_id FROM stations)',
      [new Date(now - unusedForMs)],
    );
  }

  private async forgetBytes(): Promise<void> {
    const now = this.clock.now();
    await this.contents.query(
      'UPDATE stored_contents SET orphaned_at = ? WHERE orphaned_at IS NULL AND hash NOT IN (SELECT content_hash FROM kept_files)',
      [now],
    );
    await this.contents.query(
      'UPDATE stored_contents SET orphaned_at = NULL WHERE orphaned_at IS NOT NULL AND hash IN (SELECT content_hash FROM kept_files)',
    );
    const orphans = await this.contents
      .createQueryBuilder('content')
      .where('content.orphanedAt < :until', { until: new Date(now.getTime() - orphanedForMs) })
      .limit(500)
      .getMany();
    for (const { hash, variants } of orphans) {
      // The row first: it goes only while no file holds it, and bytes without a row do no harm.
      const { affected } = await this.contents.delete({ hash }).catch(() => ({ affected: 0 }));
      if (affected !== 1) continue;
      for (const key of [hash, ...variants.map((variant) => variant.key)]) await this.storage.remove(key);
    }
  }
}
