// `npm start`: from a fresh clone to a running Hapset.
import { build } from './build.mjs';
import { mariadbPackages } from './database.mjs';
import {
  browserPackages,
  offerPackages,
  requireDisk,
  requireModules,
  requireNode,
  requirePackages,
} from './machine.mjs';
import { runStack } from './run-stack.mjs';
import { projectFolder, readBackupSettings, readSettings, runMain } from './settings.mjs';

await runMain(async () => {
  requireNode();
  requireDisk(projectFolder);
  requirePackages(mariadbPackages);
  offerPackages(browserPackages, 'Hapset starts without it: pages that scripts draw can’t be checked.');
  requireModules();
  build();
  const settings = readSettings();
  readBackupSettings();
  const account = '\nSign in with     maren.dallow@fernhollow.example\nPassword         low-tide-at-nine';
  await runStack(
    settings,
    `
Hapset runs at   ${settings.address}${settings.demo ? account : ''}

Ctrl+C stops it. What you did is saved for the next start.`,
  );
});
