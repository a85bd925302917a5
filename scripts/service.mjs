// The process that owns the data folder and its parts; started by stack.mjs, as the system account where root started it.
// `node scripts/service.mjs TASK SETTINGS`: the stack, the database alone, or a command beside the server.
import { createReadStream, createWriteStream, rmSync } from 'node:fs';
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { noteBackup, restoreBackup, writeBackup } from './backup-task.mjs';
import { NightlyBackups } from './nightly-backups.mjs';
import { sql, startDatabase } from './database.mjs';
import { isRunning, prepareData, startParts, takeLock } from './parts.mjs';
import { consoleCommands, projectFolder, serverEnvironment, Trouble } from './settings.mjs';

process.umask(0o077);
const [task, text] = process.argv.slice(2);
const settings = JSON.parse(text);
/** Descriptor of a file that the caller opened. */
const handedOver = 4;
/** Not for the processes that are started here. */
const passphrase = process.env.HAPSET_BACKUP_PASSPHRASE ?? null;
delete process.env.HAPSET_BACKUP_PASSPHRASE;
const stop = new Promise((resolve) => {
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, resolve);
  // Whoever started us is gone: nothing may be left behind.
  process.once('disconnect', resolve);
});

const tasks = {
  async stack() {
    const nightly = new NightlyBackups(settings);
    let end;
    const ended = new Promise((resolve) => (end = resolve));
    const parts = await startParts(settings, (event) => {
      tell({ kind: 'exited', ...event });
      if (!event.restarted) end();
    });
    tell({ kind: 'ready' });
    if (!settings.demo) await runCommand('setup-link', '--where-needed');
    nightly.start();
    await Promise.race([stop, ended]);
    nightly.stop();
    await parts.stop();
  },
  database: () => withDatabase(() => (tell({ kind: 'ready' }), stop)),
  /** The database, with the demo in it. */
  data: () =>
    withDatabase(() => {
      prepareData(settings);
      tell({ kind: 'ready' });
      return stop;
    }),
  'reset-demo': () =>
    withDatabase((database) => {
      sql(
        database.folder,
        'DROP DATABASE IF EXISTS hapset; CREATE DATABASE hapset CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;',
      );
      for (const file of ['demo-loaded', 'neighbours.json']) rmSync(join(settings.dataFolder, file), { force: true });
      prepareData(settings);
    }),
  'create-administrator': () => withDatabase(() => runCommand('create-administrator')),
  backup: () => withDatabase(backup),
  async restore() {
    const open = () => createReadStream('', { fd: handedOver, start: 0, autoClose: false });
    const { madeAt, files } = await restoreBackup(settings, open, { passphrase, withDatabase });
    console.log(
      `\nRestored the backup of ${madeAt} with ${files} files into ${settings.dataFolder}. Start it with npm start.`,
    );
  },
  'setup-link': () => withDatabase(() => runCommand('setup-link')),
};

let release = () => undefined;
try {
  // Beside a server that runs, its database is used.
  if (consoleCommands.has(task) && isRunning(settings.dataFolder)) await runCommand(task);
  else if (task === 'backup' && isRunning(settings.dataFolder)) await backup();
  else {
    release = takeLock(settings.dataFolder);
    await tasks[task]();
  }
} catch (error) {
  if (!(error instanceof Trouble)) throw error;
  tell({ kind: 'trouble', message: error.message });
  process.exitCode = 1;
} finally {
  release();
  if (process.connected) process.disconnect();
}

function tell(message) {
  if (process.connected) process.send(message);
}

async function withDatabase(work) {
  const database = await startDatabase(settings);
  try {
    await work(database);
  } finally {
    await database.stop();
  }
}

/** Into the file that was handed over. */
async function backup() {
  await writeBackup(settings, createWriteStream('', { fd: handedOver }), passphrase);
  noteBackup(settings, { madeAt: new Date().toISOString(), problem: null });
}

/** Writes to the terminal, and asks the person there. */
async function runCommand(command, ...options) {
  const child = spawn(process.execPath, [join(projectFolder, `apps/server/dist/app/${command}.js`), ...options], {
    env: serverEnvironment(settings),
    stdio: 'inherit',
  });
  const code = await new Promise((resolve) => child.once('exit', resolve));
  if (code !== 0) process.exitCode = 1;
}
