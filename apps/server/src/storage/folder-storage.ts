import { createReadStream } from 'node:fs';
import { copyFile, mkdir, rename, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { Readable } from 'node:stream';
import { Storage, type ByteRange } from './storage.js';

/** Kept bytes in a folder, spread over subfolders by the first letters of their keys. */
export class FolderStorage extends Storage {
  constructor(private readonly folder: string) {
    super();
  }

  async take(key: string, file: string): Promise<void> {
    const place = this.placeOf(key);
    await mkdir(dirname(place), { recursive: true });
    if ((await this.sizeOf(key)) !== null) return rm(file, { force: true });
    try {
      await rename(file, place);
    } catch (error) {
      if ((error as { code?: string }).code !== 'EXDEV') throw error;
      // Another file system: copied under another name first, so that no half of a file is ever seen.
      await copyFile(file, `${place}.part`);
      await rename(`${place}.part`, place);
      await rm(file, { force: true });
    }
  }

  open(key: string, range?: ByteRange): Readable {
    return createReadStream(this.placeOf(key), { ...range });
  }

  async sizeOf(key: string): Promise<number | null> {
    try {
      return (await stat(this.placeOf(key))).size;
    } catch {
      return null;
    }
  }

  async remove(key: string): Promise<void> {
    await rm(this.placeOf(key), { force: true });
  }

  private placeOf(key: string): string {
    if (!/^[0-9a-f]{64}(?:\.[a-z0-9]+)?$/.test(key)) throw new RangeError(`no key of the storage: ${key}`);
    return join(this.folder, key.slice(0, 2), key);
  }
}
