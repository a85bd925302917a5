import { readFile, rm } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { Storage, type ByteRange, type StoredKey } from './storage.js';

/** Kept bytes in memory, for tests of what is above the storage. */
export class MemoryStorage extends Storage {
  private readonly kept = new Map<string, Buffer>();

  async take(key: string, file: string): Promise<void> {
    if (!this.kept.has(key)) this.kept.set(key, await readFile(file));
    await rm(file, { force: true });
  }

  open(key: string, range?: ByteRange): Readable {
    const bytes = this.kept.get(key);
    if (!bytes) throw new Error(`nothing is kept under ${key}`);
    return Readable.from([range ? bytes.subarray(range.start, range.end + 1) : bytes]);
  }

  sizeOf(key: string): Promise<number | null> {
    return Promise.resolve(this.kept.get(key)?.length ?? null);
  }

  async *list(): AsyncGenerator<StoredKey> {
    for (const key of this.kept.keys()) yield await Promise.resolve({ key, changedAtMs: 0 });
  }

  remove(key: string): Promise<void> {
    this.kept.delete(key);
    return Promise.resolve();
  }
}
