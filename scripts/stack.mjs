// Starts everything that a running Hapset consists of in one service process of the right account, and stops it again.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { asUser, closeDataFolder, letUserRead, serviceUser } from './service-user.mjs';
import { consoleCommands, projectFolder, Trouble } from './settings.mjs';

/**
 * The whole stack.
 * @param tell hears `{ name, exit, restarted }` of each part that ends by itself
 * @returns `{ stop, ended }`; `ended` resolves with the name of a part that ended too often, or with 'service'
 */
export function startStack(settings, tell = () => undefined) {
  return startService('stack', settings, tell);
}

/** The database alone, for tests; with the demo's data in it, for development. */
export function startDatabaseAlone(settings, { demo = false } = {}) {
  return startService(demo ? 'data' : 'database', settings);
}

/**
 * A command that works on the database and ends.
 * @param file descriptor of a file that it reads or writes, opened with the caller's rights
 * @throws Trouble
 */
export async function runTask(task, settings, { file = null, passphrase = null } = {}) {
  const { finished } = launch(task, settings, () => undefined, { file, passphrase });
  await finished;
}

async function startService(task, settings, tell = () => undefined) {
  let ready;
  let end;
  const isReady = new Promise((resolve) => (ready = resolve));
  const ended = new Promise((resolve) => (end = resolve));
  const { child, finished } = launch(task, settings, (message) => {
    if (message.kind === 'ready') ready();
    if (message.kind !== 'exited') return;
    tell(message);
    if (!message.restarted) end(message.name);
  });
  let stopping = false;
  const outcome = finished.then(
    () => (stopping ? undefined : end('service')),
    (error) => {
      end('service');
      throw error;
    },
  );
  await Promise.race([
    isReady,
    outcome.then(() => Promise.reject(new Trouble('The service process ended before it was ready.'))),
  ]);
  outcome.catch(() => undefined);
  return {
    ended,
    stop: async () => {
      stopping = true;
      child.kill('SIGTERM');
      await finished.catch(() => undefined);
    },
  };
}

function launch(task, settings, hear, { file = null, passphrase = null } = {}) {
  const user = serviceUser();
  letUserRead(user);
  closeDataFolder(settings.dataFolder, user);
  const { env, ...identity } = asUser(user, settings.dataFolder);
  const child = spawn(process.execPath, [join(projectFolder, 'scripts/service.mjs'), task, JSON.stringify(settings)], {
    cwd: projectFolder,
    env: { ...process.env, ...env, ...(passphrase !== null && { HAPSET_BACKUP_PASSPHRASE: passphrase }) },
    stdio: ['inherit', 'inherit', 'inherit', 'ipc', ...(file === null ? [] : [file])],
    detached: !consoleCommands.has(task), // Ctrl+C must reach it through us alone; a command that asks keeps the terminal
    ...identity,
  });
  let trouble = null;
  child.on('message', (message) => {
    if (message.kind === 'trouble') trouble = message.message;
    hear(message);
  });
  const finished = new Promise((resolve, reject) => {
    child.once('error', reject);
    child.once('exit', (code) => {
      if (trouble !== null) reject(new Trouble(trouble));
      else if (code === 0 || code === null) resolve(undefined);
      else reject(new Trouble('It ended with an error; see above.'));
    });
  });
  finished.catch(() => undefined);
  return { child, finished };
}
