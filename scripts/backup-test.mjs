// A backup that is made while teachers write is restored into another folder: the same rows, the same bytes, nothing half.
import { createHash } from 'node:crypto';
import { closeSync, createReadStream, mkdirSync, openSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { Target } from './attack/target.mjs';
import { unpackArchive } from './archive.mjs';
import { sql } from './database.mjs';
import { dumpDatabase } from './backup-task.mjs';
import { runTask, startDatabaseAlone, startStack } from './stack.mjs';

const maren = 'maren.dallow';
const passphrase = 'kelp between the pages';

/**
 * @param settings of a demo that is started for it @param restored of an empty folder @param folder for the archive
 * @returns what passed and failed
 */
export async function testBackup(settings, restored, folder) {
  mkdirSync(folder, { recursive: true });
  const archive = join(folder, 'archive');
  const { before, after } = await backUpWhileWriting(settings, archive);
  await withFile(archive, 'r', (file) => runTask('restore', restored, { file, passphrase }));
  const unpacked = join(folder, 'unpacked');
  mkdirSync(unpacked);
  await unpackArchive(() => createReadStream(archive), unpacked, passphrase);
  const database = await startDatabaseAlone(restored);
  let checks;
  try {
    await dumpDatabase(restored.dataFolder, join(folder, 'restored.sql'));
    checks = {
      'every row is as the archive holds it':
        hashOf(join(folder, 'restored.sql')) === hashOf(join(unpacked, 'database.sql')),
      ...compareWritten(restored, before, after),
      ...compareFiles(restored),
    };
  } finally {
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
  for (const [what, isSo] of Object.entries(checks)) console.log(`  ${isSo ? '✓' : '✘'} ${what}`);
  const passed = Object.values(checks).filter(Boolean).length;
  return { passed, failed: Object.keys(checks).length - passed };
}

/** @returns texts that were saved before it began, and all that were saved by its end */
async function backUpWhileWriting(settings, archive) {
  const stack = await startStack(settings);
  try {
    const target = new Target(settings);
    const written = [];
    let going = true;
    const write = async (writer) => {
      for (let count = 0; going; count += 1) {
        const text = `backed up ${writer} ${count}`;
        await target.ok('POST', '/api/materials', {
          who: maren,
          body: { items: [{ words: text, pasted: text, repairs: [] }] },
        });
        const uploadId = await target.upload(Buffer.from(`${text}, in a file`), maren);
        await target.ok('POST', '/api/files', { who: maren, body: { uploadId, name: 'words.txt' } });
        written.push(text);
      }
    };
    const writers = [write('a'), write('b'), write('c')];
    while (written.length < 10) await Promise.race([...writers, new Promise((resolve) => setImmediate(resolve))]);
    const before = [...written];
    await withFile(archive, 'w', (file) => runTask('backup', settings, { file, passphrase }));
    going = false;
    await Promise.all(writers);
    return { before, after: written };
  } finally {
    await stack.stop();
  }
}

function compareWritten({ dataFolder }, before, after) {
  const { output } = sql(
    join(dataFolder, 'database'),
    "SELECT title FROM hapset.materials WHERE title LIKE 'backed up %' ORDER BY id",
  );
  const found = new Set(output.trim().split('\n'));
  return {
    [`what was saved before it began is there (${before.length})`]: before.every((text) => found.has(text)),
    [`teachers went on meanwhile (${after.length - before.length})`]: after.length > before.length,
  };
}

/** Kept files are named by the hash of their bytes. */
function compareFiles({ dataFolder, filesFolder }) {
  const { output } = sql(join(dataFolder, 'database'), 'SELECT hash FROM hapset.stored_contents');
  const hashes = output.trim().split('\n').filter(Boolean);
  const kept = new Map(
    readdirSync(join(filesFolder, 'kept'), { recursive: true, withFileTypes: true })
      .filter((entry) => entry.isFile())
      .map((entry) => [entry.name, join(entry.parentPath ?? entry.path, entry.name)]),
  );
  return {
    [`every file that a row names is there (${hashes.length})`]:
      hashes.length > 0 && hashes.every((hash) => kept.has(hash)),
    'every file has the bytes of its name': hashes.every((hash) => kept.has(hash) && hashOf(kept.get(hash)) === hash),
  };
}

async function withFile(path, flags, work) {
  const file = openSync(path, flags, 0o600);
  try {
    await work(file);
  } finally {
    closeSync(file);
  }
}

function hashOf(path) {
  return createHash('sha256').update(readFileSync(path)).digest('hex');
}
