// `npm start`: from a fresh clone to a running Hapset.
import { build } from './build.mjs';
import { mariadbPackages } from './database.mjs';
import { requireDisk, requireModules, requireNode, requirePackages } from './machine.mjs';
import { projectFolder, readSettings, runMain, Trouble } from './settings.mjs';
import { startStack, takeLock } from './stack.mjs';

await runMain(async () => {
  requireNode();
  const settings = readSettings();
  requireDisk(projectFolder);
  const releaseLock = takeLock(settings.dataFolder);
  try {
    requirePackages(mariadbPackages);
    requireModules();
    build();
    console.log('Starting …');
    const stack = await startStack(settings);
    console.log(`
Hapset runs at   ${settings.address}
Sign in with     maren.dallow@fernhollow.example
Password         low-tide-at-nine

Ctrl+C stops it. What you did is kept for the next start.`);
    const part = await Promise.race([untilStopped(), stack.ended]);
    console.log('\nStopping …');
    await stack.stop();
    if (part) throw new Trouble(`The ${part} ended by itself. What was saved is kept: start again with npm start. Its log is in ${settings.dataFolder}.`);
  } finally {
    releaseLock();
  }
});

/** Resolves with nothing when the user ends it. */
function untilStopped() {
  return new Promise((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, () => resolve(undefined));
  });
}
