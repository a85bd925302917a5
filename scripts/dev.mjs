// `npm run dev`: watching compiler, server that restarts, pages that reload as they are edited.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { build, parts } from './build.mjs';
import { mariadbPackages } from './database.mjs';
import { requireFreePort, requireModules, requireNode, requirePackages } from './machine.mjs';
import { stopGroup } from './process.mjs';
import { projectFolder, readSettings, runMain, serverEnvironment } from './settings.mjs';
import { asUser, serviceUser } from './service-user.mjs';
import { startDatabaseAlone } from './stack.mjs';

const pagesPort = Number(process.env.HAPSET_DEV_PORT ?? '4301');
/** How long the compiler is silent once it is done. */
const settledMs = 400;
const programs = ['apps/neighbours/dist/main.js', 'apps/server/dist/main.js'];

await runMain(async () => {
  requireNode();
  const settings = readSettings();
  const environment = {
    ...serverEnvironment(settings),
    HAPSET_DEV_PORT: String(pagesPort),
    HAPSET_NEIGHBOURS_FILE: join(settings.dataFolder, 'neighbours.json'),
  };
  const start = (args, { env = {}, ...options } = {}) =>
    spawn('node', args, {
      cwd: projectFolder,
      stdio: 'inherit',
      detached: true,
      env: { ...environment, ...env },
      ...options,
    });
  const running = new Map();
  let database;
  try {
    requirePackages(mariadbPackages);
    requireModules();
    build();
    await requireFreePort(settings.port, 'the server', 'HAPSET_PORT');
    await requireFreePort(pagesPort, 'the pages', 'HAPSET_DEV_PORT');
    database = await startDatabaseAlone(settings, { demo: true });
    const { env, ...identity } = asUser(serviceUser(), settings.dataFolder);

    /** The new program, once the old one has given its port back. */
    const restart = async (script) => {
      const old = running.get(script);
      if (old) await stopGroup(old.pid);
      running.set(script, start([script], { env, ...identity }));
    };
    const compiler = start(['node_modules/typescript7/bin/tsc', '-b', '--watch', '--preserveWatchOutput', ...parts], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    running.set('compiler', compiler);
    // Started again by the compiler's word, not by changed files: those change one after the other, and a server that
    // starts in between ends at once. The compiler sees its own files change and looks a second time, hence the pause.
    let restarts = Promise.resolve();
    let pause;
    createInterface({ input: compiler.stdout }).on('line', (line) => {
      if (line !== '') console.log(line);
      if (/File change detected/.test(line)) clearTimeout(pause);
      if (/Found 0 errors/.test(line))
        pause = setTimeout(() => {
          restarts = restarts.then(() => Promise.all(programs.map(restart))).catch((error) => console.error(error));
        }, settledMs);
    });
    running.set('pages', start(['../../node_modules/vite/bin/vite.js'], { cwd: join(projectFolder, 'apps/web') }));
    console.log(`\nPages that reload: http://127.0.0.1:${pagesPort}   Ctrl+C stops everything.\n`);
    await new Promise((resolve) => ['SIGINT', 'SIGTERM', 'SIGHUP'].forEach((signal) => process.once(signal, resolve)));
  } finally {
    for (const child of [...running.values()].reverse()) await stopGroup(child.pid);
    await database?.stop();
  }
});
