// Addresses and folders of a running Hapset, from the environment; README lists the variables.
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const projectFolder = resolve(fileURLToPath(new URL('..', import.meta.url)));

/** @param {Record<string, string | undefined>} environment */
export function readSettings(environment = process.env) {
  const port = portOf('HAPSET_PORT', environment, 4300);
  const neighboursPort = portOf('HAPSET_NEIGHBOURS_PORT', environment, 4310);
  const databasePort = portOf('HAPSET_DB_PORT', environment, 4317);
  const host = environment.HAPSET_HOST ?? '127.0.0.1';
  const dataFolder = resolve(projectFolder, environment.HAPSET_DATA ?? '.data');
  const shownHost = host === '0.0.0.0' ? '127.0.0.1' : host;
  return {
    host,
    port,
    neighboursPort,
    databasePort,
    dataFolder,
    /** Where a browser on this machine finds it. */
    address: `http://${shownHost}:${port}`,
    publicAddress: environment.HAPSET_PUBLIC_ADDRESS ?? `http://${shownHost}:${port}`,
    filesFolder: join(dataFolder, 'files'),
    passwordFile: join(dataFolder, 'database-password'),
    trustedHosts: environment.HAPSET_TRUSTED_HOSTS ?? ['cofferlane', 'askleaf', 'glimreel', 'hushtone', 'gatepost', 'nipaway', 'tally.nipaway'].map((name) => `${name}.localhost:${neighboursPort}`).join(','),
  };
}

/** What the server and the commands beside it get to know. */
export function serverEnvironment(settings) {
  return {
    ...process.env,
    HAPSET_HOST: settings.host,
    HAPSET_PORT: String(settings.port),
    HAPSET_PUBLIC_ADDRESS: settings.publicAddress,
    HAPSET_DB_PORT: String(settings.databasePort),
    HAPSET_DB_PASSWORD_FILE: settings.passwordFile,
    HAPSET_FILES_FOLDER: settings.filesFolder,
    HAPSET_NEIGHBOURS_PORT: String(settings.neighboursPort),
    HAPSET_TRUSTED_HOSTS: settings.trustedHosts,
    HAPSET_DEMO: process.env.HAPSET_DEMO ?? '1',
  };
}

function portOf(name, environment, otherwise) {
  const value = environment[name];
  if (value === undefined || value === '') return otherwise;
  const port = Number(value);
  if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Trouble(`${name} must be a port from 1 to 65535, but is "${value}".`);
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
