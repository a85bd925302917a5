import { createReadStream } from 'node:fs';
import { copyFile, mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { Readable } from 'node:stream';
import { isStorageKey, Storage, type ByteRange, type StoredKey } from './storage.js';

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

  async *list(): AsyncGenerator<StoredKey> {
    for (const part of await readdir(this.folder).catch(() => [])) {
      for (const key of await readdir(join(this.folder, part)).catch(() => [])) {
        const found = await stat(join(this.folder, part, key)).catch(() => null);
        if (found) yield { key, changedAtMs: found.mtimeMs };
      }
    }
  }

  async remove(key: string): Promise<void> {
    await rm(this.placeOf(key), { force: true });
  }

  private placeOf(key: string): string {
    if (!isStorageKey(key)) throw new RangeError(`no key of the storage: ${key}`);
    return join(this.folder, key.slice(0, 2), key);
  }
}
