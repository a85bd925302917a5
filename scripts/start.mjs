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
import { projectFolder, readBackupSettings, readSettings, runMain, Trouble } from './settings.mjs';
import { startStack } from './stack.mjs';

await runMain(async () => {
  requireNode();
  requireDisk(projectFolder);
  requirePackages(mariadbPackages);
  offerPackages(browserPackages, 'Hapset starts without it: pages that scripts draw can’t be checked.');
  requireModules();
  build();
  const settings = readSettings();
  readBackupSettings();
  console.log('Starting …');
  const stack = await startStack(settings, tellExit);
  const account = '\nSign in with     maren.dallow@fernhollow.example\nPassword         low-tide-at-nine';
  console.log(`
Hapset runs at   ${settings.address}${settings.demo ? account : ''}

Ctrl+C stops it. What you did is saved for the next start.`);
  const part = await Promise.race([untilStopped(), stack.ended]);
  console.log('\nStopping …');
  await stack.stop();
  if (part)
    throw new Trouble(
      `The ${part} ended four times in five minutes, so it is not started again. What was saved is not lost. Its log in ${settings.dataFolder} says why.`,
    );

  function tellExit({ name, exit, restarted }) {
    if (restarted)
      console.error(`The ${name} ended (${exit}) and is started again. Its log is in ${settings.dataFolder}.`);
  }
});

/** Resolves with nothing when the user ends it. */
function untilStopped() {
  return new Promise((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, () => resolve(undefined));
  });
}
