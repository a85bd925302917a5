/**
 * Where kept bytes lie, by key. A folder first; anything that can store and stream under a key fits. Keys are hashes
 * with an ending and never come from outside.
 */
import type { Readable } from 'node:stream';

/** Bytes from `start` to `end`, both inclusive, as in RFC 9110, 14.1.2. */
export interface ByteRange {
  readonly start: number;
  readonly end: number;
}

/** A hash, perhaps with an ending. */
export function isStorageKey(key: string): boolean {
  return /^[0-9a-f]{64}(?:\.[a-z0-9]+)?$/.test(key);
}

export interface StoredKey {
  readonly key: string;
  readonly changedAtMs: number;
}

export abstract class Storage {
  /** Takes the bytes of a local file, which is gone from its place afterwards. The same key again changes nothing. */
  abstract take(key: string, file: string): Promise<void>;
  /** Streams the bytes. @throws Error when the key is unknown */
  abstract open(key: string, range?: ByteRange): Readable;
  /** Bytes under the key; null when it is unknown. */
  abstract sizeOf(key: string): Promise<number | null>;
  /** All keys with the time of their last change, in milliseconds since 1970; what is no key of the storage is told by its name. */
  abstract list(): AsyncIterable<StoredKey>;
  /** Does nothing when the key is unknown. */
  abstract remove(key: string): Promise<void>;
}
