import type { PageDocument } from '@hapset/core';
import type { FileView } from './file.js';

/** What a material holds that is kept here, with its files. */
export type KeptView = KeptFileView | PictureSetView | WrittenPageSummary;

/** A material that is one file. */
export interface KeptFileView {
  readonly kind: 'file';
  readonly file: FileView;
  readonly transcript: string;
  readonly captions: FileView | null;
}

/** A material that is several pictures. */
export interface PictureSetView {
  readonly kind: 'picture-set';
  readonly pictures: readonly { readonly file: FileView; readonly caption: string; readonly alternative: string }[];
}

/** A material that is a page written here. */
export interface WrittenPageSummary {
  readonly kind: 'written-page';
  /** Its first words. */
  readonly excerpt: string;
  readonly words: number;
  readonly links: readonly string[];
  readonly files: number;
}

/** A written page for its editor. */
export interface WrittenPageView {
  readonly materialId: string;
  readonly title: string;
  readonly version: number;
  readonly document: PageDocument;
  /** What it shows. */
  readonly files: readonly FileView[];
}

/** The whole page under the version that was seen; `over` where that does not matter. */
export interface SaveWrittenPage {
  readonly version: number;
  readonly document: PageDocument;
  /** Saved over what somebody else wrote meanwhile: that is kept as an earlier page in any case. */
  readonly over: boolean;
}

/** A page as it stood before somebody saved over another's change. */
export interface EarlierPage {
  readonly id: string;
  readonly replacedAt: string;
  readonly document: PageDocument;
}
