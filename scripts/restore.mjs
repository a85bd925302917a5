// `npm run restore ARCHIVE`: verifies a backup, then puts it into an empty installation (HAPSET_DATA).
import { closeSync, existsSync, openSync } from 'node:fs';
import { resolve } from 'node:path';
import { mariadbPackages } from './database.mjs';
import { requireDisk, requireModules, requireNode, requirePackages } from './machine.mjs';
import { projectFolder, readBackupSettings, readSettings, runMain, Trouble } from './settings.mjs';
import { runTask } from './stack.mjs';

await runMain(async () => {
  requireNode();
  requireDisk(projectFolder);
  requirePackages({ ...mariadbPackages, openssl: 'openssl' });
  requireModules();
  const [, , archive] = process.argv;
  if (archive === undefined || !existsSync(archive))
    throw new Trouble('Say which backup to restore: npm run restore /srv/backups/hapset-2026-11-24T023000.tar.gz');
  const { passphrase } = readBackupSettings();
  if (archive.endsWith('.enc') && passphrase === null)
    throw new Trouble('This backup is encrypted. Set HAPSET_BACKUP_PASSPHRASE_FILE to the file with its passphrase.');
  const input = openSync(resolve(archive), 'r');
  try {
    await runTask('restore', readSettings({ ...process.env, HAPSET_DEMO: '0' }), {
      file: input,
      passphrase: archive.endsWith('.enc') ? passphrase : null,
    });
  } finally {
    closeSync(input);
  }
});
