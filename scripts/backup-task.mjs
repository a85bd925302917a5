// Backup and restore, inside the service process: with the account and the folders of the server.
import {
  createReadStream,
  createWriteStream,
  existsSync,
  mkdirSync,
  readFileSync,
  renameSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import {
  describe,
  filesBelow,
  inFolder,
  linkFiles,
  manifestFormat,
  manifestVersion,
  packArchive,
  run,
  unpackArchive,
  verifyUnpacked,
} from './archive.mjs';
import { sql } from './database.mjs';
import { projectFolder, Trouble } from './settings.mjs';

/** While the server runs: the dump shows the database at one moment, and kept files never change under their name. */
export async function writeBackup({ dataFolder, filesFolder }, output, passphrase) {
  const work = join(dataFolder, 'backup-work');
  return inFolder(work, async () => {
    await dumpDatabase(dataFolder, join(work, 'database.sql'));
    mkdirSync(join(work, 'kept'), { mode: 0o700 });
    linkFiles(join(filesFolder, 'kept'), join(work, 'kept'));
    const files = [];
    for (const path of filesBelow(work)) files.push(await describe(work, path));
    const manifest = {
      format: manifestFormat,
      version: manifestVersion,
      program: JSON.parse(readFileSync(join(projectFolder, 'package.json'), 'utf8')).version,
      migration: lastMigration(dataFolder),
      madeAt: new Date().toISOString(),
      demo: existsSync(join(dataFolder, 'demo-loaded')),
      // The database's password is made at the first start; there is no other secret.
      secretKey: false,
      files,
    };
    writeFileSync(join(work, 'manifest.json'), JSON.stringify(manifest, null, 1), { mode: 0o600 });
    await packArchive(work, output, passphrase);
    return { files: files.length - 1, bytes: files.reduce((sum, file) => sum + file.bytes, 0) };
  });
}

/** For the page about the server's condition. */
export function noteBackup({ dataFolder }, { madeAt, problem }) {
  writeFileSync(join(dataFolder, 'last-backup.json'), JSON.stringify({ madeAt, problem }), { mode: 0o600 });
}

/** As one moment shows it. @throws Trouble */
export async function dumpDatabase(dataFolder, file) {
  const dump = run('mariadb-dump', [
    `--defaults-file=${join(dataFolder, 'database/client.cnf')}`,
    '--single-transaction',
    '--skip-lock-tables',
    '--skip-add-locks',
    '--no-tablespaces',
    '--skip-comments',
    '--hex-blob',
    '--default-character-set=utf8mb4',
    'hapset',
  ]);
  await Promise.all([dump.ended, pipeline(dump.child.stdout, createWriteStream(file, { mode: 0o600 }))]).catch(() => {
    throw new Trouble('The database could not be read. Start Hapset, then make the backup.');
  });
}

function lastMigration(dataFolder) {
  const { output } = sql(join(dataFolder, 'database'), 'SELECT name FROM hapset.migrations ORDER BY id DESC LIMIT 1');
  return output.trim();
}

/** Everything is held against the manifest before anything is written. @param open gives the archive from its beginning @throws Trouble */
export async function restoreBackup(settings, open, { passphrase, withDatabase }) {
  const { dataFolder, filesFolder } = settings;
  refuseUsed(settings);
  const work = join(dataFolder, 'restore-work');
  return inFolder(work, async () => {
    await unpackArchive(open, work, passphrase);
    const manifest = await verifyUnpacked(work);
    mkdirSync(filesFolder, { recursive: true, mode: 0o700 });
    await withDatabase(async ({ folder }) => {
      const load = run('mariadb', [`--defaults-file=${join(folder, 'client.cnf')}`, 'hapset']);
      await Promise.all([load.ended, pipeline(createReadStream(join(work, 'database.sql')), load.child.stdin)]).catch(
        () => {
          throw new Trouble('The database of the archive could not be loaded. Empty the data folder, then try again.');
        },
      );
    });
    renameSync(join(work, 'kept'), join(filesFolder, 'kept'));
    if (manifest.demo) writeFileSync(join(dataFolder, 'demo-loaded'), '');
    return { madeAt: manifest.madeAt, files: manifest.files.length - 1 };
  });
}

/** A restore writes into an empty installation only. */
function refuseUsed({ dataFolder, filesFolder }) {
  if (existsSync(join(dataFolder, 'database/made')) || existsSync(join(filesFolder, 'kept')))
    throw new Trouble(
      `${dataFolder} holds an installation already. Restore into an empty folder: HAPSET_DATA=/srv/hapset-new npm run restore ARCHIVE`,
    );
}
