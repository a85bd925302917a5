// `npm run create-administrator`: the first account of a school's own server, or another administrator in an emergency.
import { build } from './build.mjs';
import { mariadbPackages } from './database.mjs';
import { requireModules, requireNode, requirePackages } from './machine.mjs';
import { readSettings, runMain } from './settings.mjs';
import { runTask } from './stack.mjs';

await runMain(async () => {
  requireNode();
  const settings = readSettings({ ...process.env, HAPSET_DEMO: '0' });
  requirePackages(mariadbPackages);
  requireModules();
  build();
  await runTask('create-administrator', settings);
});
