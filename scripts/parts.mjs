// The parts of a running Hapset: started in order, watched, started again when one exits, stopped in the right order.
// Runs inside the service process (service.mjs), as the account that owns the data folder.
import { spawn, spawnSync } from 'node:child_process';
import { closeSync, existsSync, mkdirSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { startDatabase } from './database.mjs';
import { requireFreePort } from './machine.mjs';
import { commandOf, endLeftOver, isAlive, remember, stopProcess } from './process.mjs';
import { RestartLimit } from './restart-limit.mjs';
import { projectFolder, serverEnvironment, Trouble } from './settings.mjs';

/** The server first, since it needs the others. */
const stopOrder = ['second-server', 'server', 'stand-ins', 'database'];

const scripts = {
  'stand-ins': 'apps/neighbours/dist/main.js',
  server: 'apps/server/dist/main.js',
  'second-server': 'apps/server/dist/main.js',
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
      if (isRunning(dataFolder))
        throw new Trouble(
          `Hapset already runs here (process ${readFileSync(lock, 'utf8')}). Stop it with Ctrl+C in its window, or open it: it needs no second start.`,
        );
      console.log('The start before ended without cleaning up; its lock is removed.');
      rmSync(lock, { force: true });
    }
  }
  throw new Trouble(`The lock ${lock} can't be taken. Remove it, then start again.`);
}

/** Whether a start holds the lock and is alive. */
export function isRunning(dataFolder) {
  const lock = join(dataFolder, 'lock');
  if (!existsSync(lock)) return false;
  const owner = Number(readFileSync(lock, 'utf8'));
  return owner > 0 && isAlive(owner) && /\bnode\b/.test(commandOf(owner));
}

/** @param tell hears `{ name, exit, restarted }` of each part that ends by itself */
export async function startParts(settings, tell) {
  const parts = new Parts(settings, tell);
  try {
    await parts.start();
    return parts;
  } catch (error) {
    await parts.stop();
    throw error;
  }
}

class Parts {
  #settings;
  #tell;
  #running = new Map();
  #beginning = new Set();
  #stopping = false;
  #limit = new RestartLimit();

  constructor(settings, tell) {
    this.#settings = settings;
    this.#tell = tell;
  }

  async start() {
    const settings = this.#settings;
    for (const [name, script] of Object.entries(scripts))
      await endLeftOver(settings.dataFolder, name, join(projectFolder, script));
    await requireFreePort(settings.port, 'the server', 'HAPSET_PORT');
    if (settings.demo)
      await requireFreePort(settings.neighboursPort, 'the stand-in services', 'HAPSET_NEIGHBOURS_PORT');
    await this.#begin('database');
    prepareData(settings);
    if (settings.demo) await this.#begin('stand-ins');
    await this.#begin('server');
    if (settings.secondPort !== null) await this.#begin('second-server');
  }

  /** Also what is just being started again. */
  async stop() {
    this.#stopping = true;
    await Promise.allSettled(this.#beginning);
    for (const name of stopOrder) {
      const child = this.#running.get(name);
      if (child) await stopProcess(child.pid);
    }
  }

  #begin(name) {
    const beginning = this.#beginPart(name).finally(() => this.#beginning.delete(beginning));
    this.#beginning.add(beginning);
    return beginning;
  }

  async #beginPart(name) {
    const goesOn = () => !this.#stopping;
    const child =
      name === 'database' ? (await startDatabase(this.#settings)).child : await startNode(this.#settings, name, goesOn);
    this.#running.set(name, child);
    child.once('exit', (code, signal) => this.#exited(name, signal ?? `code ${code}`));
    // It may have ended between being ready and being watched.
    if (child.exitCode !== null || child.signalCode !== null)
      this.#exited(name, child.signalCode ?? `code ${child.exitCode}`);
  }

  /** Starts it again, three times in five minutes; then says why not. */
  #exited(name, exit) {
    if (this.#stopping || !this.#running.delete(name)) return;
    const waitMs = this.#limit.next(name, Date.now());
    this.#tell({ name, exit, restarted: waitMs !== null });
    if (waitMs === null) return;
    sleep(waitMs)
      .then(() => (this.#stopping ? undefined : this.#begin(name)))
      .catch((error) => {
        console.error(error instanceof Trouble ? error.message : error);
        this.#running.set(name, { pid: 0 });
        this.#exited(name, 'it did not start');
      });
  }
}

/** Loads the demo, once for a data folder; without the demo nothing of it, and never its public passwords. */
export function prepareData(settings) {
  const mark = join(settings.dataFolder, 'demo-loaded');
  if (!settings.demo) {
    if (existsSync(mark))
      throw new Trouble(
        `${settings.dataFolder} holds the demo, and the passwords of its accounts are public. Start your school's own server with an empty folder: HAPSET_DEMO=0 HAPSET_DATA=/srv/hapset npm start`,
      );
    return;
  }
  if (existsSync(mark)) return;
  const { status, stderr } = spawnSync(process.execPath, [join(projectFolder, 'apps/server/dist/demo/load.js')], {
    env: serverEnvironment(settings),
    encoding: 'utf8',
  });
  if (status !== 0)
    throw new Trouble(`The demo data could not be loaded:\n${stderr.trim().split('\n').slice(0, 6).join('\n')}`);
  writeFileSync(mark, '');
}

/** @param goesOn false once everything is to end: then nobody waits until it is ready */
async function startNode(common, name, goesOn) {
  const settings = name === 'second-server' ? { ...common, port: common.secondPort } : common;
  const alive =
    name === 'stand-ins'
      ? `http://127.0.0.1:${settings.neighboursPort}/alive`
      : `http://127.0.0.1:${settings.port}/api/ready`;
  const logFile = join(settings.dataFolder, `${name}.log`);
  const log = openSync(logFile, 'a', 0o600);
  const child = spawn(process.execPath, [join(projectFolder, scripts[name])], {
    env: { ...serverEnvironment(settings), HAPSET_NEIGHBOURS_FILE: join(settings.dataFolder, 'neighbours.json') },
    stdio: ['ignore', log, log],
    detached: true, // Ctrl+C must reach it through us alone, in the right order
  });
  closeSync(log);
  remember(settings.dataFolder, name, child.pid);
  for (let waited = 0; waited < 60_000; waited += 100) {
    if (child.exitCode !== null || child.signalCode !== null) break;
    if (!goesOn() || (await answers(alive))) return child;
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
