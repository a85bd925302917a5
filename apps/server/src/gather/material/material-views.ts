/** Materials as pages show them: what the services say of their links, and what they hold. */
import { Injectable } from '@nestjs/common';
import type { FileView, KeptView, MaterialView } from '@hapset/contract';
import { documentFiles, documentLinks, documentText, filesOf, type Kept } from '@hapset/core';
import { FileService } from '../file/file.service.js';
import { toFileView } from '../file/file.view.js';
import { ServiceDescriptionService } from '../service-description/service-description.service.js';
import { SchoolService } from '../../school/settings/school.service.js';
import type { MaterialRecord } from './material-record.js';
import { toMaterialView } from './material.view.js';

const excerptLength = 240;

@Injectable()
export class MaterialViews {
  constructor(
    private readonly services: ServiceDescriptionService,
    private readonly files: FileService,
    private readonly school: SchoolService,
  ) {}

  /** Reads services and settings once, for as many materials as are to be shown. */
  async prepare(): Promise<(material: MaterialRecord) => MaterialView> {
    const [catalogue, { publicAddress }] = await Promise.all([this.services.catalogue(), this.school.get()]);
    return (material) => toMaterialView(material, catalogue, publicAddress);
  }

  async view(material: MaterialRecord): Promise<MaterialView> {
    return (await this.prepare())(material);
  }

  /** What it holds; null for a link and for words. */
  async kept({ kept }: Pick<MaterialRecord, 'kept'>): Promise<KeptView | null> {
    if (!kept) return null;
    const found = await this.files.byIds(filesOf(kept));
    return toKeptView(kept, (id) => {
      const file = found.get(id);
      return file ? toFileView(file) : null;
    });
  }
}

/** Null when its only file is gone. @param fileOf null for one that is gone */
export function toKeptView(kept: Kept, fileOf: (id: string) => FileView | null): KeptView | null {
  switch (kept.kind) {
    case 'file': {
      const file = fileOf(kept.fileId);
      return (
        file && {
          kind: 'file',
          file,
          transcript: kept.transcript,
          captions: kept.captionsId === null ? null : fileOf(kept.captionsId),
        }
      );
    }
    case 'picture-set':
      return {
        kind: 'picture-set',
        pictures: kept.pictures.flatMap(({ fileId, caption, alternative }) => {
          const file = fileOf(fileId);
          return file ? [{ file, caption, alternative }] : [];
        }),
      };
    case 'written-page': {
      const text = documentText(kept.document);
      const words = text.split(/\s+/).filter((word) => word !== '').length;
      return {
        kind: 'written-page',
        excerpt: text.slice(0, excerptLength),
        words,
        links: documentLinks(kept.document),
        files: documentFiles(kept.document).length,
      };
    }
  }
}
