import { mkdtempSync, readdirSync, writeFileSync, existsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { text } from 'node:stream/consumers';
import { FolderStorage } from './folder-storage.js';
import { MemoryStorage } from './memory-storage.js';

const folder = mkdtempSync(join(tmpdir(), 'storage-'));
const key = 'ab'.repeat(32);
const local = (content: string): string => {
  const file = join(mkdtempSync(join(tmpdir(), 'local-')), 'file');
  writeFileSync(file, content);
  return file;
};

describe.each([
  ['a folder', () => new FolderStorage(folder)],
  ['memory', () => new MemoryStorage()],
])('storage in %s', (_, make) => {
  const storage = make();

  it('keeps what it takes, and the file is gone from its place', async () => {
    const file = local('low tide at nine');
    await storage.take(key, file);
    expect(existsSync(file)).toBe(false);
    expect(await storage.sizeOf(key)).toBe(16);
    expect(await text(storage.open(key))).toBe('low tide at nine');
  });

  it('streams a part', async () => expect(await text(storage.open(key, { start: 4, end: 7 }))).toBe('tide'));

  it('keeps the same once', async () => {
    await storage.take(key, local('low tide at nine'));
    expect(await text(storage.open(key))).toBe('low tide at nine');
  });

  it('forgets what is removed, twice without harm', async () => {
    await storage.remove(key);
    await storage.remove(key);
    expect(await storage.sizeOf(key)).toBeNull();
  });
});

it('a folder never leaves itself', () => {
  const storage = new FolderStorage(folder);
  for (const odd of ['../secret', 'ab/../../x', '', `${key}/x`, `${key}.`, key.toUpperCase()])
    expect(() => storage.open(odd)).toThrow(RangeError);
  expect(readdirSync(folder)).toEqual(['ab']);
});
