// Addresses and folders of a running Hapset, from the environment; docs/settings.md lists the variables.
import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const projectFolder = resolve(fileURLToPath(new URL('..', import.meta.url)));

/** What works on the database beside the server, and writes to the terminal. */
export const consoleCommands = new Set(['create-administrator', 'setup-link']);

export const chromiumSandbox = '/usr/lib/chromium/chrome-sandbox';

/** @param {Record<string, string | undefined>} environment */
export function readSettings(environment = process.env) {
  const port = portOf('HAPSET_PORT', environment, 4300);
  const neighboursPort = portOf('HAPSET_NEIGHBOURS_PORT', environment, 4310);
  const host = environment.HAPSET_HOST ?? '127.0.0.1';
  const demo = environment.HAPSET_DEMO !== '0';
  if (demo && !isLoopback(host) && environment.HAPSET_DEMO_PUBLIC !== '1')
    throw new Trouble(
      `The demo's passwords are public, so it listens on this machine only, and HAPSET_HOST is ${host}. Start your school's own server with HAPSET_DEMO=0, or show the demo to others with HAPSET_DEMO_PUBLIC=1.`,
    );
  const dataFolder = resolve(projectFolder, environment.HAPSET_DATA ?? '.data');
  const shownHost = host === '0.0.0.0' ? '127.0.0.1' : host;
  return {
    host,
    port,
    neighboursPort,
    /** Null: the database has no TCP port, only its socket. */
    databasePort: environment.HAPSET_DB_PORT ? portOf('HAPSET_DB_PORT', environment, 0) : null,
    databaseSocket: socketOf(dataFolder),
    /** Tests make databases of their own; their account may. */
    testDatabases: false,
    /** Of a second server on the same database and files, behind the same proxy; null without one. Tests alone. */
    secondPort: null,
    demo,
    /** Whether scripts draw the pages of the stand-ins, as most services do; without a browser they are plain. */
    neighboursPages: pagesOf(environment),
    dataFolder,
    /** Where a browser on this machine finds it. */
    address: `http://${shownHost}:${port}`,
    publicAddress: environment.HAPSET_PUBLIC_ADDRESS ?? `http://${shownHost}:${port}`,
    filesFolder: join(dataFolder, 'files'),
    passwordFile: join(dataFolder, 'database-password'),
    trustedHosts: [...(demo ? standIns(neighboursPort) : []), ...listed(environment.HAPSET_TRUSTED_HOSTS)].join(','),
  };
}

/** @param wanted variables with what they are for @throws Trouble that names each one that is missing */
export function requireSettings(wanted, environment = process.env) {
  const missing = Object.entries(wanted).filter(([name]) => (environment[name] ?? '') === '');
  if (missing.length > 0)
    throw new Trouble(`Set before the start:\n${missing.map(([name, what]) => `  ${name}: ${what}`).join('\n')}`);
}

/** Where backups go each night, and what they are encrypted with. @throws Trouble */
export function readBackupSettings(environment = process.env) {
  const { HAPSET_BACKUP_FOLDER: folder, HAPSET_BACKUP_AT: at = '', HAPSET_BACKUP_PASSPHRASE_FILE: file } = environment;
  if (at !== '' && !/^(?:[01]\d|2[0-3]):[0-5]\d$/.test(at))
    throw new Trouble(`HAPSET_BACKUP_AT must be a time like 02:30, but is "${at}".`);
  const passphrase = file ? firstLine(file) : null;
  if (passphrase !== null && passphrase.length < 12)
    throw new Trouble(`The passphrase in ${file} needs at least 12 characters in its first line.`);
  return { folder: folder || null, at: at || null, passphrase };
}

function firstLine(file) {
  try {
    return readFileSync(file, 'utf8').split(/\r?\n/)[0];
  } catch {
    throw new Trouble(`HAPSET_BACKUP_PASSPHRASE_FILE names ${file}, which can't be read by this account.`);
  }
}

function pagesOf({ HAPSET_NEIGHBOURS_PAGES: pages, HAPSET_CHROMIUM: program }) {
  return pages ?? (existsSync(chromiumSandbox) && program !== '' ? 'drawn' : 'plain');
}

/** What the demo opens: the services that are simulated. */
function standIns(neighboursPort) {
  return ['cofferlane', 'askleaf', 'glimreel', 'hushtone', 'gatepost', 'nipaway', 'tally.nipaway'].map(
    (name) => `${name}.localhost:${neighboursPort}`,
  );
}

function listed(value = '') {
  return value.split(',').flatMap((part) => part.trim() || []);
}

/** Only this machine can reach it. */
export function isLoopback(host) {
  return host === 'localhost' || host === '::1' || /^127\.\d+\.\d+\.\d+$/.test(host);
}

/** A socket's path has 107 bytes at most; a deep project folder is longer than that, so its socket gets a private folder elsewhere. */
function socketOf(dataFolder) {
  const path = join(dataFolder, 'database', 'my.sock');
  return Buffer.byteLength(path) <= 100
    ? path
    : join(tmpdir(), `hapset-socket-${createHash('sha256').update(dataFolder).digest('hex').slice(0, 16)}`, 'my.sock');
}

/** What the server and the commands beside it get to know. */
export function serverEnvironment(settings) {
  return {
    ...process.env,
    HAPSET_HOST: settings.host,
    HAPSET_PORT: String(settings.port),
    HAPSET_PUBLIC_ADDRESS: settings.publicAddress,
    HAPSET_DB_SOCKET: settings.databaseSocket,
    HAPSET_DB_PASSWORD_FILE: settings.passwordFile,
    HAPSET_FILES_FOLDER: settings.filesFolder,
    HAPSET_LAST_BACKUP_FILE: join(settings.dataFolder, 'last-backup.json'),
    HAPSET_NEIGHBOURS_PORT: String(settings.neighboursPort),
    HAPSET_TRUSTED_HOSTS: settings.trustedHosts,
    HAPSET_NEIGHBOURS_PAGES: settings.neighboursPages,
    HAPSET_DEMO: settings.demo ? '1' : '0',
  };
}

function portOf(name, environment, otherwise) {
  const value = environment[name];
  if (value === undefined || value === '') return otherwise;
  const port = Number(value);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Trouble(`${name} must be a port from 1 to 65535, but is "${value}".`);
  return port;
}

/** An expected stop: its message says what to do, and no stack is shown. */
export class Trouble extends Error {}

/** Runs a command's main function and turns Trouble into one line. */
export async function runMain(main) {
  try {
    await main();
  } catch (error) {
    if (!(error instanceof Trouble)) throw error;
    console.error(`\n${error.message}\n`);
    process.exitCode = 1;
  }
}
