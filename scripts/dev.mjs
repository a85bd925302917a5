// `npm run dev`: watching compiler, server that restarts, pages that reload as they are edited.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { build } from './build.mjs';
import { mariadbPackages } from './database.mjs';
import { requireFreePort, requireModules, requireNode, requirePackages } from './machine.mjs';
import { stopGroup } from './process.mjs';
import { projectFolder, readSettings, runMain, serverEnvironment } from './settings.mjs';
import { asUser, serviceUser } from './service-user.mjs';
import { startDatabaseAlone } from './stack.mjs';

const pagesPort = Number(process.env.HAPSET_DEV_PORT ?? '4301');

await runMain(async () => {
  requireNode();
  const settings = readSettings();
  const children = [];
  const start = (command, args, { env = {}, ...options } = {}) => {
    const child = spawn(command, args, {
      cwd: projectFolder,
      stdio: 'inherit',
      detached: true,
      env: {
        ...serverEnvironment(settings),
        HAPSET_DEV_PORT: String(pagesPort),
        HAPSET_NEIGHBOURS_FILE: join(settings.dataFolder, 'neighbours.json'),
        ...env,
      },
      ...options,
    });
    children.push(child);
    return child;
  };
  let database;
  try {
    requirePackages(mariadbPackages);
    requireModules();
    build();
    await requireFreePort(settings.port, 'the server', 'HAPSET_PORT');
    await requireFreePort(pagesPort, 'the pages', 'HAPSET_DEV_PORT');
    database = await startDatabaseAlone(settings, { demo: true });
    const { env, ...identity } = asUser(serviceUser(), settings.dataFolder);
    start('node', [
      'node_modules/typescript7/bin/tsc',
      '-b',
      '--watch',
      '--preserveWatchOutput',
      'packages/core',
      'packages/readers',
      'packages/contract',
      'apps/server',
      'apps/neighbours',
    ]);
    for (const script of ['apps/neighbours/dist/main.js', 'apps/server/dist/main.js'])
      start('node', ['--watch', script], { env, ...identity });
    start('node', ['../../node_modules/vite/bin/vite.js'], { cwd: join(projectFolder, 'apps/web') });
    console.log(`\nPages that reload: http://127.0.0.1:${pagesPort}   Ctrl+C stops everything.\n`);
    await new Promise((resolve) => ['SIGINT', 'SIGTERM', 'SIGHUP'].forEach((signal) => process.once(signal, resolve)));
  } finally {
    for (const child of children.reverse()) await stopGroup(child.pid);
    await database?.stop();
  }
});
