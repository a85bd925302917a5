// `npm run serve`: a school's own server as a service runs it. Nothing is installed or built; `npm run build` did that.
import { mkdirSync } from 'node:fs';
import { requireBuilt } from './build.mjs';
import { mariadbPackages } from './database.mjs';
import { requireDisk, requireNode, requirePackages } from './machine.mjs';
import { runStack } from './run-stack.mjs';
import { readBackupSettings, readSettings, requireSettings, runMain } from './settings.mjs';

await runMain(async () => {
  requireNode();
  requireBuilt();
  requireSettings({
    HAPSET_DATA: 'the folder for database, files and logs, for example /var/lib/hapset',
    HAPSET_PUBLIC_ADDRESS: 'where phones reach this server, for example https://hapset.school.example',
  });
  requirePackages(mariadbPackages);
  const settings = readSettings({ ...process.env, HAPSET_DEMO: '0' });
  mkdirSync(settings.dataFolder, { recursive: true, mode: 0o700 });
  requireDisk(settings.dataFolder);
  readBackupSettings();
  await runStack(settings, `Hapset runs at ${settings.publicAddress}, and listens on ${settings.address}.`);
});
