// `npm run demo:reset`: throws the demo's data away and loads it anew. Hapset must not run meanwhile.
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from './build.mjs';
import { mariadbPackages, sql, startDatabase } from './database.mjs';
import { requireModules, requirePackages } from './machine.mjs';
import { readSettings, runMain } from './settings.mjs';
import { loadDemo, takeLock } from './stack.mjs';

await runMain(async () => {
  const settings = readSettings();
  const releaseLock = takeLock(settings.dataFolder);
  try {
    requirePackages(mariadbPackages);
    requireModules();
    build();
    const database = await startDatabase(settings);
    try {
      sql(database.folder, 'DROP DATABASE IF EXISTS hapset; CREATE DATABASE hapset CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;');
      for (const file of ['demo-loaded', 'neighbours.json']) rmSync(join(settings.dataFolder, file), { force: true });
      loadDemo(settings);
      console.log('The demo is as on its first day. Start it with: npm start');
    } finally {
      await database.stop();
    }
  } finally {
    releaseLock();
  }
});
