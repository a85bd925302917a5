/**
 * Uploads that can be taken up again, by the tus protocol 1.0: what was acknowledged is on the disk, a lost connection or a
 * killed server loses nothing of it. Only its owner sees an upload; the guard looks at the row.
 */
import { mkdirSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { FileStore } from '@tus/file-store';
import { Server } from '@tus/server';
import type { Request, Response } from 'express';
import { LessThan, Repository } from 'typeorm';
import { Clock } from '../clock/clock.js';
import { CONFIGURATION, type Configuration } from '../configuration/configuration.js';
import { newId } from '../database/columns.js';
import { notFound, ProblemError } from '../problem/problem.js';
import { Upload } from './upload.entity.js';

/** An upload that nobody went on with for so long is given up. */
const keptForMs = 48 * 3600 * 1000;

@Injectable()
export class UploadService {
  private readonly folder: string;
  private readonly tus: Server;

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
      namingFunction: (request) => request.headers.get('x-hapset-upload') ?? newId(),
    });
  }

  /**
   * Begins an upload.
   * @param used bytes that the owner keeps already
   * @throws ProblemError too-large for the file, storage-full for the teacher
   */
  async begin(request: Request, response: Response, ownerId: string, used: number): Promise<void> {
    const sizeBytes = Number(request.headers['upload-length']);
    if (!Number.isInteger(sizeBytes) || sizeBytes < 1) throw new ProblemError('invalid', 'An upload says how large it is.', { fields: [{ field: 'Upload-Length', message: 'must be a whole number from 1' }] });
    if (sizeBytes > this.configuration.fileLimitBytes) throw new ProblemError('too-large', `A file may have up to ${this.configuration.fileLimitBytes} bytes.`);
    if (used + (await this.underWay(ownerId)) + sizeBytes > this.configuration.teacherLimitBytes) throw new ProblemError('storage-full', `A teacher may keep ${this.configuration.teacherLimitBytes} bytes.`);
    const id = newId();
    await this.uploads.insert({ id, ownerId, sizeBytes, createdAt: this.clock.now() });
    request.headers['x-hapset-upload'] = id;
    // What the library reads are the headers as they came in.
    request.rawHeaders.push('X-Hapset-Upload', id);
    await this.tus.handle(request, response);
  }

  /** Goes on with an upload, tells how far it is, or ends it. */
  async handle(request: Request, response: Response): Promise<void> {
    await this.tus.handle(request, response);
  }

  async end(id: string): Promise<void> {
    await this.uploads.delete({ id });
    await this.removeFiles(id);
  }

  /** The local file of a finished upload. @throws ProblemError not-found, invalid while bytes are missing */
  async finished(id: string, ownerId: string): Promise<string> {
    if (!(await this.uploads.existsBy({ id, ownerId }))) throw notFound('upload');
    const { size, offset } = await this.tus.datastore.getUpload(id);
    if (offset !== size) throw new ProblemError('invalid', 'The upload is not finished yet.', { fields: [{ field: 'uploadId', message: 'is not finished' }] });
    return join(this.folder, id);
  }

  /** Gives up what nobody went on with. Returns how many. */
  async giveUpOld(): Promise<number> {
    const old = await this.uploads.findBy({ createdAt: LessThan(new Date(this.clock.now().getTime() - keptForMs)) });
    for (const { id } of old) await this.end(id);
    return old.length;
  }

  private async underWay(ownerId: string): Promise<number> {
    return (await this.uploads.sum('sizeBytes', { ownerId })) ?? 0;
  }

  private async removeFiles(id: string): Promise<void> {
    for (const ending of ['', '.json', '.upright', '.upright.w640', '.upright.w1280']) await rm(join(this.folder, id + ending), { force: true });
  }
}
