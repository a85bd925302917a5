// Starts everything that a running Hapset consists of, and stops it again in the right order.
import { spawn, spawnSync } from 'node:child_process';
import { closeSync, existsSync, mkdirSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { startDatabase } from './database.mjs';
import { requireFreePort } from './machine.mjs';
import { commandOf, endLeftOver, isAlive, remember, stopProcess } from './process.mjs';
import { projectFolder, serverEnvironment, Trouble } from './settings.mjs';

const parts = {
  neighbours: { name: 'stand-ins', script: 'apps/neighbours/dist/main.js' },
  server: { name: 'server', script: 'apps/server/dist/main.js' },
};

/** One start at a time for a data folder. A lock whose owner is gone is taken over. @returns how to give it back */
export function takeLock(dataFolder) {
  mkdirSync(dataFolder, { recursive: true });
  const lock = join(dataFolder, 'lock');
  for (let attempt = 0; attempt < 2; attempt += 1) {
    try {
      const file = openSync(lock, 'wx');
      writeFileSync(file, String(process.pid));
      closeSync(file);
      return () => rmSync(lock, { force: true });
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
      const owner = Number(readFileSync(lock, 'utf8'));
      if (owner > 0 && isAlive(owner) && /\bnode\b/.test(commandOf(owner))) throw new Trouble(`Hapset already runs here (process ${owner}). Stop it with Ctrl+C in its window, or open it: it needs no second start.`);
      console.log('The start before ended without cleaning up; its lock is removed.');
      rmSync(lock, { force: true });
    }
  }
  throw new Trouble(`The lock ${lock} can't be taken. Remove it, then start again.`);
}

/** @returns `{ database, stop, ended }`; `ended` resolves with the name of a part that ends by itself */
export async function startStack(settings, { demo = true } = {}) {
  const started = [];
  let stopping = false;
  const stop = async () => {
    stopping = true;
    for (const { child } of started.reverse()) await stopProcess(child.pid);
  };
  try {
    for (const { name, script } of Object.values(parts)) await endLeftOver(settings.dataFolder, name, join(projectFolder, script));
    await requireFreePort(settings.port, 'the server', 'HAPSET_PORT');
    await requireFreePort(settings.neighboursPort, 'the stand-in services', 'HAPSET_NEIGHBOURS_PORT');
    const database = await startDatabase(settings);
    started.push({ name: 'database', child: database.child });
    if (demo) loadDemo(settings);
    started.push(await startNode(settings, parts.neighbours, `http://127.0.0.1:${settings.neighboursPort}/alive`));
    started.push(await startNode(settings, parts.server, `http://127.0.0.1:${settings.port}/api/health`));
    const ended = new Promise((resolve) => {
      for (const { name, child } of started) child.once('exit', () => !stopping && resolve(name));
    });
    return { database, stop, ended };
  } catch (error) {
    await stop();
    throw error;
  }
}

/** Migrates and brings the demo data in; done once for a data folder, and it never writes over anything. */
export function loadDemo(settings) {
  const mark = join(settings.dataFolder, 'demo-loaded');
  if (existsSync(mark)) return;
  const { status, stderr } = spawnSync(process.execPath, [join(projectFolder, 'apps/server/dist/demo/load.js')], { env: serverEnvironment(settings), encoding: 'utf8' });
  if (status !== 0) throw new Trouble(`The demo data could not be loaded:\n${stderr.trim().split('\n').slice(0, 6).join('\n')}`);
  writeFileSync(mark, '');
}

async function startNode(settings, { name, script }, alive) {
  const logFile = join(settings.dataFolder, `${name}.log`);
  const log = openSync(logFile, 'a');
  const child = spawn(process.execPath, [join(projectFolder, script)], {
    env: { ...serverEnvironment(settings), HAPSET_NEIGHBOURS_FILE: join(settings.dataFolder, 'neighbours.json') },
    stdio: ['ignore', log, log],
    detached: true, // Ctrl+C must reach it through us alone, in the right order
  });
  closeSync(log);
  remember(settings.dataFolder, name, child.pid);
  for (let waited = 0; waited < 30_000; waited += 100) {
    if (child.exitCode !== null) break;
    if (await answers(alive)) return { name, child };
    await sleep(100);
  }
  await stopProcess(child.pid);
  throw new Trouble(`The ${name} did not start. Its log is ${logFile}.`);
}

async function answers(address) {
  try {
    return (await fetch(address, { signal: AbortSignal.timeout(2000) })).ok;
  } catch {
    return false;
  }
}
