import type { Media } from '@hapset/core';

/** A file that the school's own server keeps. */
export interface FileView {
  readonly id: string;
  readonly name: string;
  readonly media: Media;
  readonly contentType: string;
  readonly sizeBytes: number;
  readonly widthPx: number | null;
  readonly heightPx: number | null;
  /** Path of its bytes, for everybody who has it. It stays when the content is replaced. */
  readonly address: string;
  /** Other forms below the address: "w640", "w1280", "pdf". */
  readonly variants: readonly string[];
  readonly usedIn: readonly { readonly id: string; readonly title: string }[];
  readonly version: number;
  readonly createdAt: string;
}

/** Files that are kept, the newest first, and how much room they take. */
export interface FilesPage {
  readonly rows: readonly FileView[];
  readonly next: string | null;
  readonly usedBytes: number;
  readonly fileLimitBytes: number;
  readonly teacherLimitBytes: number;
}

/** A finished upload becomes a file. */
export interface AddFile {
  readonly uploadId: string;
  readonly name: string;
}

/** An upload whose bytes take the place of the file's. */
export interface ReplaceFile {
  readonly uploadId: string;
  /** What the file is called from now on. */
  readonly name: string;
}

/** Its new name under the version that was seen. */
export interface RenameFile {
  readonly name: string;
  readonly version: number;
}
