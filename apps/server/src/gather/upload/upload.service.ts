/**
 * Uploads that can be taken up again, by the tus protocol 1.0: what was acknowledged is on the disk, a lost connection or a
 * killed server loses nothing of it. Only its owner sees an upload; the guard looks at the row.
 */
import { mkdirSync } from 'node:fs';
import { readdir, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { FileStore } from '@tus/file-store';
import { Server } from '@tus/server';
import type { Request, Response } from 'express';
import { LessThan, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { newId } from '../../platform/database/columns.js';
import { retryingDeadlocks } from '../../platform/database/deadlock.js';
import { notFound, ProblemError, stale } from '../../platform/problem/problem.js';
import { Upload } from './upload.entity.js';

/** An upload that nobody went on with for so long is given up. */
const hourMs = 3600 * 1000;
const keptForMs = 48 * hourMs;
/** A server that ended while it made a file of an upload has not given it back. */
const takenForMs = 5 * 60 * 1000;

@Injectable()
export class UploadService {
  private readonly folder: string;
  private readonly tus: Server;
  private readonly ids = new WeakMap<object, string>();

  constructor(
    @InjectRepository(Upload) private readonly uploads: Repository<Upload>,
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
    private readonly clock: Clock,
  ) {
    this.folder = join(configuration.filesFolder, 'uploads');
    mkdirSync(this.folder, { recursive: true });
    this.tus = new Server({
      path: '/api/uploads',
      relativeLocation: true,
      datastore: new FileStore({ directory: this.folder }),
      maxSize: configuration.fileLimitBytes,
      // The id of the row that was made for it; a header of the request is never part of a file's name.
      namingFunction: (request) => this.idOf(request),
    });
  }

  /**
   * Begins an upload.
   * @param used bytes that the owner keeps already
   * @throws ProblemError too-large for the file, storage-full for the teacher
   */
  async begin(request: Request, response: Response, ownerId: string, used: number): Promise<void> {
    const sizeBytes = Number(request.headers['upload-length']);
    if (!Number.isInteger(sizeBytes) || sizeBytes < 1)
      throw new ProblemError('invalid', 'An upload says how large it is.', {
        fields: [{ field: 'Upload-Length', message: 'must be a whole number from 1' }],
      });
    if (sizeBytes > this.configuration.fileLimitBytes)
      throw new ProblemError('too-large', `A file may have up to ${this.configuration.fileLimitBytes} bytes.`);
    const id = newId();
    await this.insertWithin(this.configuration.teacherLimitBytes - used, {
      id,
      ownerId,
      sizeBytes,
      createdAt: this.clock.now(),
      takenAt: null,
    });
    this.ids.set(request, id);
    await this.tus.handle(request, response);
  }

  /** Two that begin at once are counted one after the other. @throws ProblemError storage-full */
  private async insertWithin(
    free: number,
    row: Pick<Upload, 'id' | 'ownerId' | 'sizeBytes' | 'createdAt' | 'takenAt'>,
  ): Promise<void> {
    await retryingDeadlocks(() =>
      this.uploads.manager.transaction(async (manager) => {
        await manager.query('SELECT id FROM accounts WHERE id = ? FOR UPDATE', [row.ownerId]);
        const underWay = (await manager.sum(Upload, 'sizeBytes', { ownerId: row.ownerId })) ?? 0;
        if (Number(underWay) + row.sizeBytes > free)
          throw new ProblemError('storage-full', `A teacher may keep ${this.configuration.teacherLimitBytes} bytes.`);
        await manager.insert(Upload, row);
      }),
    );
  }

  /** The library hands on the request of the platform, which stands for the server's own. */
  private idOf(request: { readonly runtime?: { readonly node?: { readonly req?: unknown } } }): string {
    const own = request.runtime?.node?.req;
    const id = typeof own === 'object' && own !== null ? this.ids.get(own) : undefined;
    if (id === undefined) throw new Error('an upload without a row');
    return id;
  }

  /** Goes on with an upload, tells how far it is, or ends it. */
  async handle(request: Request, response: Response): Promise<void> {
    await this.tus.handle(request, response);
  }

  async end(id: string): Promise<void> {
    await this.uploads.delete({ id });
    await this.removeFiles(id);
  }

  /**
   * The local file of a finished upload, for one request alone: whoever takes it hands it over or gives it back.
   * @throws ProblemError not-found, invalid while bytes are missing, stale where another request has taken it
   */
  async takeFinished(id: string, ownerId: string): Promise<string> {
    const now = this.clock.now();
    const { affected } = await this.uploads
      .createQueryBuilder()
      .update({ takenAt: now })
      .where('id = :id AND ownerId = :ownerId AND (takenAt IS NULL OR takenAt < :before)', {
        id,
        ownerId,
        before: new Date(now.getTime() - takenForMs),
      })
      .execute();
    if (affected !== 1) throw (await this.uploads.existsBy({ id, ownerId })) ? stale('upload') : notFound('upload');
    // Only now: whoever took it before may have handed its bytes over and removed them.
    const { size, offset } = await this.tus.datastore.getUpload(id);
    if (offset === size) return join(this.folder, id);
    await this.uploads.update({ id, ownerId }, { takenAt: null });
    throw new ProblemError('invalid', 'The upload is not finished yet.', {
      fields: [{ field: 'uploadId', message: 'is not finished' }],
    });
  }

  /** Does what makes something of its bytes, and ends it; after a failure it may be taken again. */
  async handedOver<Made>(id: string, ownerId: string, work: () => Promise<Made>): Promise<Made> {
    try {
      const made = await work();
      await this.end(id);
      return made;
    } catch (error) {
      await this.uploads.update({ id, ownerId }, { takenAt: null });
      throw error;
    }
  }

  /** Names in the folder of uploads that no row knows: their bytes count for nobody. Returns how many were removed. */
  async removeUnknown(): Promise<number> {
    const known = new Set((await this.uploads.find({ select: { id: true } })).map(({ id }) => id));
    let removed = 0;
    for (const name of await readdir(this.folder)) {
      if (known.has(name.split('.')[0] ?? '')) continue;
      const file = join(this.folder, name);
      // What was begun this moment has its file before its row is seen here.
      const changedAt = (await stat(file).catch(() => null))?.mtimeMs ?? 0;
      if (changedAt > Date.now() - hourMs) continue;
      await rm(file, { force: true, recursive: true });
      removed += 1;
    }
    return removed;
  }

  /** Gives up what nobody went on with. Returns how many. */
  async giveUpOld(): Promise<number> {
    const old = await this.uploads.findBy({ createdAt: LessThan(new Date(this.clock.now().getTime() - keptForMs)) });
    for (const { id } of old) await this.end(id);
    return old.length;
  }

  private async removeFiles(id: string): Promise<void> {
    for (const ending of ['', '.json', '.upright', '.upright.w640', '.upright.w1280'])
      await rm(join(this.folder, id + ending), { force: true });
  }
}
