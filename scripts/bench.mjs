// `npm run bench [name]`: ratios and sizes against the stated targets, in one run. Nothing here can fail a test.
import { readdirSync } from 'node:fs';
import { build } from './build.mjs';
import { requireModules } from './machine.mjs';
import { runMain, Trouble } from './settings.mjs';

const folder = new URL('./bench/', import.meta.url);

await runMain(async () => {
  const names = readdirSync(folder)
    .filter((file) => file.endsWith('.mjs'))
    .map((file) => file.replace('.mjs', ''));
  const wanted = process.argv[2];
  if (wanted !== undefined && !names.includes(wanted))
    throw new Trouble(`There is no bench called ${wanted}. There are: ${names.join(', ')}.`);
  requireModules();
  build();
  for (const name of wanted === undefined ? names : [wanted]) {
    console.log(`\n${name}`);
    const { bench } = await import(new URL(`${name}.mjs`, folder));
    for (const { what, value, target } of await bench())
      console.log(`  ${what.padEnd(58)} ${String(value).padStart(12)}   ${target ?? ''}`);
  }
});
