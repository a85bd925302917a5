/** Written pages: read for the editor, saved as one writes, and kept as they were whenever a while has passed. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { EarlierPage as EarlierPageView, SaveWrittenPage, WrittenPageView } from '@hapset/contract';
import { documentFiles, readDocument, type PageDocument } from '@hapset/core';
import { Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { FileService } from '../file/file.service.js';
import { toFileView } from '../file/file.view.js';
import { notFound, ProblemError } from '../../platform/problem/problem.js';
import { EarlierPage } from './earlier-page.entity.js';
import { MaterialService } from '../material/material.service.js';
import type { MaterialRecord } from '../material/material-record.js';

/** A page saved again and again is kept as it was once in so long. */
const keepEveryMs = 10 * 60 * 1000;
const shownEarlier = 30;

@Injectable()
export class WrittenPageService {
  constructor(
    @InjectRepository(EarlierPage) private readonly earlier: Repository<EarlierPage>,
    private readonly materials: MaterialService,
    private readonly files: FileService,
    private readonly clock: Clock,
  ) {}

  /** @throws ProblemError not-found for what is no written page */
  async read(materialId: string): Promise<WrittenPageView> {
    const { material, document } = await this.require(materialId);
    const files = await this.files.byIds(documentFiles(document));
    return {
      materialId,
      title: material.title,
      version: material.version,
      document,
      files: [...files.values()].map((file) => toFileView(file)),
    };
  }

  /** @throws ProblemError stale when it was saved from another place meanwhile, invalid, not-found */
  async save(materialId: string, { version, document: given, over }: SaveWrittenPage): Promise<WrittenPageView> {
    const { material, document: before } = await this.require(materialId);
    const document = readDocument(given);
    if (!document)
      throw new ProblemError('invalid', 'This is no page, or a page that is too long.', {
        fields: [{ field: 'document', message: 'is no page, or too long' }],
      });
    const fileIds = documentFiles(document);
    await this.files.requireOwn(fileIds, material.ownerId);
    await this.materials.saveKept(materialId, version, { kind: 'written-page', document });
    await this.keepEarlier(materialId, before, over);
    return this.read(materialId);
  }

  /** How it stood before, newest first. */
  async earlierOf(materialId: string): Promise<readonly EarlierPageView[]> {
    await this.require(materialId);
    const rows = await this.earlier.find({ where: { materialId }, order: { id: 'DESC' }, take: shownEarlier });
    return rows.map(({ id, document, replacedAt }) => ({ id, document, replacedAt: replacedAt.toISOString() }));
  }

  private async keepEarlier(materialId: string, document: PageDocument, always: boolean): Promise<void> {
    const now = this.clock.now();
    const last = await this.earlier.findOne({ where: { materialId }, order: { id: 'DESC' } });
    const empty = document.content.length === 0;
    if (empty || (!always && last && now.getTime() - last.replacedAt.getTime() < keepEveryMs)) return;
    await this.earlier.insert({ id: newId(), materialId, document, replacedAt: now });
  }

  private async require(id: string): Promise<{ material: MaterialRecord; document: PageDocument }> {
    const material = await this.materials.require(id);
    if (material.kept?.kind !== 'written-page') throw notFound('page');
    return { material, document: material.kept.document };
  }
}
