// `npm run demo:reset`: throws the demo's data away and loads it again. Hapset must not run meanwhile.
import { build } from './build.mjs';
import { mariadbPackages } from './database.mjs';
import { requireModules, requirePackages } from './machine.mjs';
import { readSettings, runMain } from './settings.mjs';
import { runTask } from './stack.mjs';

await runMain(async () => {
  const settings = readSettings({ ...process.env, HAPSET_DEMO: '1' });
  requirePackages(mariadbPackages);
  requireModules();
  build();
  await runTask('reset-demo', settings);
  console.log('The demo is as on its first day. Start it with: npm start');
});
