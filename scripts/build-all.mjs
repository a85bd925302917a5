// `npm run build`: everything that `npm run serve` needs.
import { build } from './build.mjs';
import { requireModules, requireNode } from './machine.mjs';
import { runMain } from './settings.mjs';

await runMain(() => {
  requireNode();
  requireModules();
  build();
});
