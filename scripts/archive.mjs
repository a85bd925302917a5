// The archive of a backup: a tar with a manifest, the database as SQL, and kept files, in gzip, and encrypted where a
// passphrase is given. Each layer opens with an ordinary program: openssl, gzip, tar, mariadb.
import { createHash } from 'node:crypto';
import {
  createReadStream,
  existsSync,
  linkSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
} from 'node:fs';
import { spawn } from 'node:child_process';
import { dirname, join, relative } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Trouble } from './settings.mjs';

export const manifestFormat = 'hapset-backup';
export const manifestVersion = 1;
/** OWASP's figure for PBKDF2 with SHA-256; openssl's own default is far lower. */
const cipher = ['-aes-256-cbc', '-md', 'sha256', '-pbkdf2', '-iter', '600000', '-pass', 'env:HAPSET_BACKUP_PASSPHRASE'];
/** What an archive may hold. */
const knownPath = /^(?:manifest\.json|database\.sql|kept(?:\/[\w.-]+)*\/?)$/;
const manifestAtMost = 200_000_000;

/** All files below a folder, as paths from it, in order. */
export function filesBelow(folder) {
  if (!existsSync(folder)) return [];
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile())
    .map((entry) => relative(folder, join(entry.parentPath, entry.name)))
    .sort();
}

/** The same files under a second name: what is removed meanwhile stays there. */
export function linkFiles(from, to) {
  for (const path of filesBelow(from)) {
    mkdirSync(dirname(join(to, path)), { recursive: true, mode: 0o700 });
    try {
      linkSync(join(from, path), join(to, path));
    } catch (error) {
      // It was removed a moment ago; the database holds it no more.
      if (error.code !== 'ENOENT') throw error;
    }
  }
}

export async function describe(folder, path) {
  const hash = createHash('sha256');
  await pipeline(createReadStream(join(folder, path)), hash);
  return { path, bytes: statSync(join(folder, path)).size, sha256: hash.digest('hex') };
}

/** @param output a writable stream @param passphrase null: it is not encrypted */
export async function packArchive(folder, output, passphrase) {
  const tar = run('tar', ['-C', folder, '-cz', 'manifest.json', 'database.sql', 'kept']);
  if (passphrase === null) {
    await Promise.all([tar.ended, pipeline(tar.child.stdout, output)]);
    return;
  }
  const openssl = run('openssl', ['enc', '-e', '-salt', ...cipher], { HAPSET_BACKUP_PASSPHRASE: passphrase });
  await Promise.all([
    tar.ended,
    openssl.ended,
    pipeline(tar.child.stdout, openssl.child.stdin),
    pipeline(openssl.child.stdout, output),
  ]);
}

/**
 * Unpacks what an archive may hold, and nothing else.
 * @param open gives the archive from its beginning, each time it is called
 * @throws Trouble
 */
export async function unpackArchive(open, folder, passphrase) {
  const names = [];
  await through(open(), ['-tz'], { passphrase, hear: (text) => names.push(...text.split('\n')) });
  const foreign = names.find((name) => name !== '' && !knownPath.test(name));
  if (foreign !== undefined) throw new Trouble(`This is no backup of Hapset: it holds ${foreign.slice(0, 80)}.`);
  await through(open(), ['-xz', '--no-same-owner', '--no-same-permissions', '-C', folder], { passphrase });
}

async function through(source, options, { passphrase, hear = () => undefined }) {
  const tar = run('tar', options);
  let rest = '';
  tar.child.stdout.setEncoding('utf8').on('data', (text) => {
    const lines = (rest + text).split('\n');
    rest = lines.pop();
    hear(lines.join('\n'));
  });
  const steps = [tar.ended];
  if (passphrase !== null) {
    const openssl = run('openssl', ['enc', '-d', ...cipher], { HAPSET_BACKUP_PASSPHRASE: passphrase });
    steps.push(openssl.ended, pipeline(source, openssl.child.stdin), pipeline(openssl.child.stdout, tar.child.stdin));
  } else steps.push(pipeline(source, tar.child.stdin));
  const failed = (await Promise.allSettled(steps)).some(({ status }) => status === 'rejected');
  hear(rest);
  if (failed)
    throw new Trouble(
      passphrase !== null
        ? 'The archive can’t be opened: the passphrase is wrong, or the file is damaged.'
        : 'The archive can’t be opened: it is damaged, or encrypted.',
    );
}

/** Reads the manifest and holds every file against it. @throws Trouble */
export async function verifyUnpacked(folder) {
  const path = join(folder, 'manifest.json');
  if (!existsSync(path) || statSync(path).size > manifestAtMost) throw new Trouble('The archive has no manifest.');
  const manifest = parse(readFileSync(path, 'utf8'));
  if (manifest?.format !== manifestFormat || manifest.version !== manifestVersion || !Array.isArray(manifest.files))
    throw new Trouble('The archive’s manifest is of another version of Hapset.');
  const wanted = new Map(manifest.files.map((file) => [file.path, file]));
  for (const found of filesBelow(folder).filter((name) => name !== 'manifest.json')) {
    const file = wanted.get(found);
    wanted.delete(found);
    if (!file || (await describe(folder, found)).sha256 !== file.sha256)
      throw new Trouble(`The archive is damaged: ${found} is not what was saved. Nothing was restored.`);
  }
  const [missing] = wanted.keys();
  if (missing !== undefined) throw new Trouble(`The archive is damaged: ${missing} is missing. Nothing was restored.`);
  return manifest;
}

function parse(text) {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** @returns the process, and its end: fails with its exit */
export function run(command, args, environment = {}) {
  const child = spawn(command, args, { stdio: ['pipe', 'pipe', 'ignore'], env: { ...process.env, ...environment } });
  // Whoever reads from it ends first where it fails: its own exit says so.
  child.stdin.on('error', () => undefined);
  const ended = new Promise((resolve, reject) => {
    child.once('error', reject);
    child.once('exit', (code) =>
      code === 0 ? resolve(undefined) : reject(new Error(`${command} ended with ${code}`)),
    );
  });
  ended.catch(() => undefined);
  return { child, ended };
}

/** An empty folder for work that is removed afterwards. */
export async function inFolder(folder, work) {
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  try {
    return await work();
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
