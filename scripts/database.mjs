// A private MariaDB: its own data folder and a socket in a folder that no other account can open; no TCP port unless
// one is asked for. Runs as the account that starts it, never as root. Debian's own database is never touched.
import { spawn, spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { chmodSync, existsSync, lstatSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { requireFreePort } from './machine.mjs';
import { endLeftOver, remember, stopProcess } from './process.mjs';
import { Trouble } from './settings.mjs';

const startTimeoutMs = 60_000;
/** What the application does with its tables. Nothing that reaches beyond its database: no FILE, SUPER, PROCESS. */
const rights = 'SELECT, INSERT, UPDATE, DELETE, CREATE, ALTER, DROP, INDEX, REFERENCES, CREATE TEMPORARY TABLES';

export const mariadbPackages = {
  mariadbd: 'mariadb-server',
  'mariadb-install-db': 'mariadb-server',
  mariadb: 'mariadb-client',
};

/** Starts the database; the first time it is created. @returns handle with `folder`, `child`, `stop()` */
export async function startDatabase(settings) {
  const folder = join(settings.dataFolder, 'database');
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  await endLeftOver(settings.dataFolder, 'database', `--datadir=${join(folder, 'data')}`);
  if (settings.databasePort !== null) await requireFreePort(settings.databasePort, 'the database', 'HAPSET_DB_PORT');
  privateFolder(dirname(settings.databaseSocket));
  createFiles(folder);
  writeAccounts(folder, settings);
  const child = launch(folder, settings);
  remember(settings.dataFolder, 'database', child.pid);
  await waitUntilReady(folder, child);
  return { folder, child, stop: () => stopProcess(child.pid) };
}

/** @throws Trouble when another account could put something into it */
function privateFolder(path) {
  mkdirSync(path, { recursive: true, mode: 0o700 });
  const { uid } = lstatSync(path);
  if (!lstatSync(path).isDirectory() || uid !== process.getuid())
    throw new Trouble(`${path} belongs to another account. Remove it, then start again.`);
  chmodSync(path, 0o700);
}

function createFiles(folder) {
  const made = join(folder, 'made');
  if (existsSync(made)) return;
  // A first start that was interrupted leaves half a database behind, which is removed.
  rmSync(join(folder, 'data'), { recursive: true, force: true });
  const { status, stderr } = spawnSync(
    'mariadb-install-db',
    [
      '--no-defaults',
      `--datadir=${join(folder, 'data')}`,
      '--auth-root-authentication-method=socket',
      '--auth-root-socket-user=root',
      '--skip-test-db',
    ],
    { encoding: 'utf8', env: closedFiles() },
  );
  if (status !== 0) throw new Trouble(`The database could not be created in ${folder}:\n${lastLine(stderr)}`);
  writeFileSync(made, '', { mode: 0o600 });
}

/**
 * Written before every start and run by the database itself, so that it holds whatever was changed meanwhile: the
 * application's account, root through the socket for the machine's root alone, and nobody else of
 * those that earlier versions made.
 */
function writeAccounts(folder, { passwordFile, databaseSocket, databasePort, testDatabases }) {
  // A server that runs on while the database is started again goes on with the password it has.
  const known = existsSync(passwordFile) ? readFileSync(passwordFile, 'utf8').trim() : '';
  const password = /^[\w-]{32}$/.test(known) ? known : randomBytes(24).toString('base64url');
  const hosts = databasePort === null ? ['localhost'] : ['localhost', '127.0.0.1'];
  const schemas = testDatabases ? ['hapset', 'hapset\\_test\\_%'] : ['hapset'];
  const statements = [
    "DELETE FROM mysql.global_priv WHERE User IN ('', 'hapset', 'root') AND NOT (User = 'root' AND Host = 'localhost')",
    "DELETE FROM mysql.db WHERE User = 'hapset'",
    'FLUSH PRIVILEGES',
    'ALTER USER IF EXISTS root@localhost IDENTIFIED VIA unix_socket',
    'CREATE DATABASE IF NOT EXISTS hapset CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci',
    ...hosts.map((host) => `CREATE OR REPLACE USER 'hapset'@'${host}' IDENTIFIED BY '${password}'`),
    ...hosts.flatMap((host) => schemas.map((schema) => `GRANT ${rights} ON \`${schema}\`.* TO 'hapset'@'${host}'`)),
  ];
  writePrivate(join(folder, 'accounts.sql'), statements.map((statement) => `${statement};\n`).join(''));
  writePrivate(join(folder, 'client.cnf'), `[client]\nuser=hapset\npassword=${password}\nsocket=${databaseSocket}\n`);
  writePrivate(passwordFile, password);
}

function writePrivate(file, text) {
  rmSync(file, { force: true });
  writeFileSync(file, text, { mode: 0o600 });
}

/**
 * A database of tests is thrown away with its run, so it waits for no disk: each of a hundred specs makes all tables
 * once, and on a busy disk that took longer than a test may take.
 */
const withoutWaiting = ['--innodb-flush-method=nosync', '--innodb-flush-log-at-trx-commit=0', '--debug-no-sync'];

function launch(folder, { databasePort, databaseSocket, testDatabases }) {
  return spawn(
    'mariadbd',
    [
      '--no-defaults',
      `--datadir=${join(folder, 'data')}`,
      ...(databasePort === null ? ['--skip-networking'] : ['--bind-address=127.0.0.1', `--port=${databasePort}`]),
      `--socket=${databaseSocket}`,
      `--pid-file=${join(folder, 'my.pid')}`,
      `--log-error=${join(folder, 'error.log')}`,
      `--init-file=${join(folder, 'accounts.sql')}`,
      '--skip-name-resolve',
      '--character-set-server=utf8mb4',
      '--collation-server=utf8mb4_unicode_ci',
      '--default-time-zone=+00:00',
      '--innodb-buffer-pool-size=128M',
      '--skip-log-bin',
      '--local-infile=0',
      `--secure-file-priv=${join(folder, 'data')}`,
      ...(testDatabases ? withoutWaiting : []),
    ],
    { stdio: 'ignore', detached: true, env: closedFiles() }, // not in our process group: Ctrl+C must reach it through us alone
  );
}

function closedFiles() {
  return { ...process.env, UMASK: '0600', UMASK_DIR: '0700' };
}

async function waitUntilReady(folder, child) {
  const until = Date.now() + startTimeoutMs;
  while (Date.now() < until) {
    if (child.exitCode !== null) break;
    if (sql(folder, 'SELECT 1 FROM DUAL').ok) return;
    await sleep(150);
  }
  const log = existsSync(join(folder, 'error.log')) ? readFileSync(join(folder, 'error.log'), 'utf8') : '';
  const errors = log.split('\n').filter((line) => line.includes('[ERROR]'));
  throw new Trouble(
    `The database did not start: ${lastLine(errors.join('\n')) || 'no reason given'}\nIts log is ${join(folder, 'error.log')}.`,
  );
}

/** Runs SQL with the application's account, through the socket. */
export function sql(folder, statements) {
  const { status, stderr, stdout } = spawnSync('mariadb', [`--defaults-file=${join(folder, 'client.cnf')}`, '-N'], {
    encoding: 'utf8',
    input: statements,
  });
  return { ok: status === 0, error: stderr ?? '', output: stdout ?? '' };
}

function lastLine(text) {
  return text.trim().split('\n').at(-1) ?? '';
}
