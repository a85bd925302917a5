// `npm run attack`: the attacks that once succeeded, against a demo instance of their own on loopback, and what held.
import { runAttacks } from './attack/attacks.mjs';
import { build } from './build.mjs';
import { mariadbPackages } from './database.mjs';
import { requireModules, requireNode, requirePackages } from './machine.mjs';
import { runMain } from './settings.mjs';

await runMain(async () => {
  requireNode();
  requirePackages(mariadbPackages);
  requireModules();
  build();
  const { passed, failed } = await runAttacks();
  console.log(`\n${passed} held, ${failed} broken`);
  if (failed > 0) process.exitCode = 1;
});
