// `npm run backup [folder]`: one archive of everything, while Hapset runs. `npm run restore ARCHIVE` puts it into an empty installation.
import { closeSync, mkdirSync, openSync, renameSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { backupName } from './backup-rotation.mjs';
import { mariadbPackages } from './database.mjs';
import { requireModules, requireNode, requirePackages } from './machine.mjs';
import { readBackupSettings, readSettings, runMain } from './settings.mjs';
import { runTask } from './stack.mjs';

await runMain(async () => {
  requireNode();
  requirePackages({ ...mariadbPackages, openssl: 'openssl' });
  requireModules();
  const settings = readSettings({ ...process.env, HAPSET_DEMO: '0' });
  const { folder, passphrase } = readBackupSettings();
  const target = resolve(process.argv[2] ?? folder ?? join(settings.dataFolder, 'backups'));
  mkdirSync(target, { recursive: true, mode: 0o700 });
  const encrypted = passphrase !== null;
  const file = join(target, backupName(new Date(), encrypted));
  const output = openSync(`${file}.part`, 'wx', 0o600);
  try {
    await runTask('backup', settings, { file: output, passphrase });
    renameSync(`${file}.part`, file);
  } finally {
    closeSync(output);
    rmSync(`${file}.part`, { force: true });
  }
  console.log(`\nBackup written: ${file}${encrypted ? ' (encrypted)' : ''}`);
});
