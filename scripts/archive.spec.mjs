import { spawnSync } from 'node:child_process';
import {
  createReadStream,
  createWriteStream,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import {
  describe as describeFile,
  filesBelow,
  linkFiles,
  manifestFormat,
  manifestVersion,
  packArchive,
  unpackArchive,
  verifyUnpacked,
} from './archive.mjs';

const passphrase = 'a shell for every crab';

describe('the archive of a backup', () => {
  let folder;
  beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'hapset-archive-'))));
  afterEach(() => rmSync(folder, { recursive: true, force: true }));

  const at = (...names) => join(folder, ...names);
  const write = (path, text) => {
    mkdirSync(dirname(at(path)), { recursive: true });
    writeFileSync(at(path), text);
  };
  /** A folder as a backup fills it, and its archive. */
  const pack = async (secret = null, change = (manifest) => manifest) => {
    rmSync(at('work'), { recursive: true, force: true });
    rmSync(at('out'), { recursive: true, force: true });
    write('work/database.sql', 'CREATE TABLE x (id INT);');
    write('work/kept/ab/abc123', 'kept bytes');
    write('work/kept/ab/abc123.w640', 'smaller');
    const files = [];
    for (const path of filesBelow(at('work'))) files.push(await describeFile(at('work'), path));
    const manifest = change({ format: manifestFormat, version: manifestVersion, files });
    write('work/manifest.json', JSON.stringify(manifest));
    await packArchive(at('work'), createWriteStream(at('archive')), secret);
  };
  const unpack = async (secret = null, file = 'archive') => {
    mkdirSync(at('out'), { recursive: true });
    await unpackArchive(() => createReadStream(at(file)), at('out'), secret);
    return verifyUnpacked(at('out'));
  };

  it.each([null, passphrase])('holds what was put in (passphrase: %s)', async (secret) => {
    await pack(secret);
    expect((await unpack(secret)).files).toHaveLength(3);
    expect(readFileSync(at('out/kept/ab/abc123'), 'utf8')).toBe('kept bytes');
    expect(readFileSync(at('archive')).includes('kept bytes')).toBe(false);
  });

  it('opens with ordinary programs', async () => {
    await pack(passphrase);
    const { stdout } = spawnSync(
      'sh',
      [
        '-c',
        'openssl enc -d -aes-256-cbc -md sha256 -pbkdf2 -iter 600000 -pass env:P -in "$1" | tar -tz',
        'sh',
        at('archive'),
      ],
      { env: { ...process.env, P: passphrase }, encoding: 'utf8' },
    );
    expect(stdout.split('\n')).toEqual(expect.arrayContaining(['manifest.json', 'database.sql', 'kept/ab/abc123']));
  });

  it('stays closed without the passphrase', async () => {
    await pack(passphrase);
    await expect(unpack('another passphrase')).rejects.toThrow('passphrase is wrong');
    await expect(unpack(null)).rejects.toThrow('damaged, or encrypted');
  });

  it('is refused where a file is not what was saved, or is missing, or was added', async () => {
    const changed = (manifest) => ({ ...manifest, files: manifest.files.map((file) => ({ ...file, sha256: 'x' })) });
    await pack(null, changed);
    await expect(unpack()).rejects.toThrow('is not what was saved');
    await pack(null, (manifest) => ({ ...manifest, files: [...manifest.files, { path: 'kept/gone', sha256: 'x' }] }));
    await expect(unpack()).rejects.toThrow('kept/gone is missing');
    await pack(null, (manifest) => ({ ...manifest, files: manifest.files.slice(1) }));
    await expect(unpack()).rejects.toThrow('is not what was saved');
    await pack(null, (manifest) => ({ ...manifest, version: 99 }));
    await expect(unpack()).rejects.toThrow('another version');
  });

  it('is refused where it would write beside the folder', async () => {
    await pack();
    write('evil', 'x');
    spawnSync('tar', ['-C', at('work'), '-czPf', at('other'), 'manifest.json', '../evil']);
    await expect(unpack(null, 'other')).rejects.toThrow('This is no backup of Hapset');
    expect(filesBelow(at('out'))).toEqual([]);
    writeFileSync(at('broken'), readFileSync(at('archive')).subarray(0, 100));
    await expect(unpack(null, 'broken')).rejects.toThrow('damaged');
  });

  it('has files under a second name, so that they can be removed meanwhile', () => {
    write('kept/ab/one', '1');
    linkFiles(at('kept'), at('linked'));
    rmSync(at('kept'), { recursive: true });
    expect(readFileSync(at('linked/ab/one'), 'utf8')).toBe('1');
    expect(filesBelow(at('nothing'))).toEqual([]);
  });
});
