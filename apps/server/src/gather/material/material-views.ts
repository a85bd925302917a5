/** What a material keeps -> its view, with the files that it shows. */
import { Injectable } from '@nestjs/common';
import type { FileView, KeptView } from '@hapset/contract';
import { documentFiles, documentLinks, documentText, filesOf, type Kept } from '@hapset/core';
import { FileService } from '../file/file.service.js';
import { toFileView } from '../file/file.view.js';

const excerptLength = 240;

@Injectable()
export class KeptViews {
  constructor(private readonly files: FileService) {}

  async view(kept: Kept): Promise<KeptView | null> {
    const found = await this.files.byIds(filesOf(kept));
    const fileOf = (id: string): FileView | null => {
      const file = found.get(id);
      return file ? toFileView(file) : null;
    };
    return toKeptView(kept, fileOf);
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
