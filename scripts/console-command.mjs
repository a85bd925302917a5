// A command at the server's console: it works on the database, beside a server that runs or without one.
import { build } from './build.mjs';
import { mariadbPackages } from './database.mjs';
import { requireModules, requireNode, requirePackages } from './machine.mjs';
import { readSettings, runMain } from './settings.mjs';
import { runTask } from './stack.mjs';

/** Of a school's own server, never of the demo. */
export async function runConsoleCommand(task) {
  await runMain(async () => {
    requireNode();
    const settings = readSettings({ ...process.env, HAPSET_DEMO: '0' });
    requirePackages(mariadbPackages);
    requireModules();
    build();
    await runTask(task, settings);
  });
}
