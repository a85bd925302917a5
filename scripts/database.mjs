// A private MariaDB on loopback: its own data folder, port and socket; Debian's own database is never touched.
import { spawn, spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { userInfo } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { requireFreePort } from './machine.mjs';
import { endLeftOver, remember, stopProcess } from './process.mjs';
import { Trouble } from './settings.mjs';

const startTimeoutMs = 60_000;

export const mariadbPackages = { mariadbd: 'mariadb-server', 'mariadb-install-db': 'mariadb-server', mariadb: 'mariadb-client' };

/** Starts the database; the first time it is created. @returns handle with `stop()` */
export async function startDatabase({ dataFolder, databasePort, passwordFile }) {
  const folder = join(dataFolder, 'database');
  mkdirSync(folder, { recursive: true });
  await endLeftOver(dataFolder, 'database', `--datadir=${join(folder, 'data')}`);
  await requireFreePort(databasePort, 'the database', 'HAPSET_DB_PORT');
  const fresh = createFiles(folder);
  const child = launch(folder, databasePort);
  remember(dataFolder, 'database', child.pid);
  await waitUntilReady(folder, child);
  if (fresh || !existsSync(passwordFile)) createAccount(folder, passwordFile);
  return { folder, child, stop: () => stopProcess(child.pid) };
}

function createFiles(folder) {
  const made = join(folder, 'made');
  if (existsSync(made)) return false;
  // A first start that was interrupted leaves half a database behind: begin anew.
  rmSync(join(folder, 'data'), { recursive: true, force: true });
  const { status, stderr } = spawnSync(
    'mariadb-install-db',
    ['--no-defaults', ...userOption(), `--datadir=${join(folder, 'data')}`, '--auth-root-authentication-method=normal', '--skip-test-db'],
    { encoding: 'utf8' },
  );
  if (status !== 0) throw new Trouble(`The database could not be created in ${folder}:\n${lastLine(stderr)}`);
  return true;
}

function launch(folder, port) {
  return spawn(
    'mariadbd',
    [
      '--no-defaults', ...userOption(), `--datadir=${join(folder, 'data')}`, '--bind-address=127.0.0.1', `--port=${port}`,
      `--socket=${socketOf(folder)}`, `--pid-file=${join(folder, 'my.pid')}`, `--log-error=${join(folder, 'error.log')}`,
      '--skip-name-resolve', '--character-set-server=utf8mb4', '--collation-server=utf8mb4_unicode_ci', '--default-time-zone=+00:00',
      '--innodb-buffer-pool-size=128M', '--skip-log-bin',
    ],
    { stdio: 'ignore', detached: true }, // not in our process group: Ctrl+C must reach it through us alone
  );
}

async function waitUntilReady(folder, child) {
  const until = Date.now() + startTimeoutMs;
  while (Date.now() < until) {
    if (child.exitCode !== null) break;
    if (sql(folder, 'SELECT 1').ok) return;
    await sleep(150);
  }
  const log = existsSync(join(folder, 'error.log')) ? readFileSync(join(folder, 'error.log'), 'utf8') : '';
  const errors = log.split('\n').filter((line) => line.includes('[ERROR]'));
  throw new Trouble(`The database did not start: ${lastLine(errors.join('\n')) || 'no reason given'}\nIts log is ${join(folder, 'error.log')}.`);
}

function createAccount(folder, passwordFile) {
  const password = randomBytes(24).toString('base64url');
  const made = sql(
    folder,
    `CREATE DATABASE IF NOT EXISTS hapset CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
     CREATE OR REPLACE USER 'hapset'@'127.0.0.1' IDENTIFIED BY '${password}';
     GRANT ALL ON \`hapset%\`.* TO 'hapset'@'127.0.0.1';`,
  );
  if (!made.ok) throw new Trouble(`The database account could not be made: ${lastLine(made.error)}`);
  writeFileSync(passwordFile, password, { mode: 0o600 });
  writeFileSync(join(folder, 'made'), '');
}

/** Runs SQL as the database's own root, through its socket. */
export function sql(folder, statements) {
  const { status, stderr, stdout } = spawnSync('mariadb', ['--no-defaults', `--socket=${socketOf(folder)}`, '-uroot', '-N', '-e', statements], { encoding: 'utf8' });
  return { ok: status === 0, error: stderr ?? '', output: stdout ?? '' };
}

// A socket's path may have 107 characters at most; deep project folders are longer than that.
function socketOf(folder) {
  const path = join(folder, 'my.sock');
  return path.length <= 100 ? path : join('/tmp', `hapset-${Buffer.from(folder).toString('base64url').slice(-40)}.sock`);
}

function userOption() {
  const { uid, username } = userInfo();
  return uid === 0 ? [`--user=${username}`] : [];
}

function lastLine(text) {
  return text.trim().split('\n').at(-1) ?? '';
}
