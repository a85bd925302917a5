/** Everything that comes from the environment, read once and checked at start. docs/settings.md lists the variables. */
import { isPublicAddress } from './addresses.js';
import { isNetwork } from './networks.js';
import { findChromium, findOffice } from './find-program.js';
import { existsSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

export interface Configuration {
  readonly host: string;
  readonly port: number;
  /** Used until the administrator sets another in School. */
  readonly publicAddress: string;
  readonly database: {
    /** A Unix socket's path; it goes before host and port. */ readonly socket: string | null;
    readonly host: string;
    readonly port: number;
    readonly user: string;
    readonly password: string;
    readonly name: string;
  };
  /** `host:port` in lower case: what the address guard lets through. */
  readonly trustedHosts: readonly string[];
  /** Addresses or networks of the proxies in front: what they say of a visitor's address is believed. */
  readonly proxies: readonly string[];
  /** Folder of the built web application. */
  readonly webFolder: string;
  /** True where the demo data was asked for: its account is shown on the sign-in page. */
  readonly demo: boolean;
  /** Folder of service descriptions that come with the installation; null where there are none. */
  readonly servicesFolder: string | null;
  /** Folder of kept files and of uploads under way. */
  readonly filesFolder: string;
  /** Where it is noted when a backup was last made; null where nobody notes it. */
  readonly lastBackupFile: string | null;
  /** LibreOffice; null where it is not installed. */
  readonly officeProgram: string | null;
  /** Chromium, in which pages are seen as students see them; null where it is not installed. */
  readonly chromiumProgram: string | null;
  readonly fileLimitBytes: number;
  readonly teacherLimitBytes: number;
  readonly version: string;
  readonly logLevel: string;
}

export const CONFIGURATION = Symbol('configuration');

/** @throws Error naming the variable and what it must be. */
export function readConfiguration(environment: Environment = process.env): Configuration {
  const host = environment.HAPSET_HOST ?? '127.0.0.1';
  const port = portOf('HAPSET_PORT', environment.HAPSET_PORT, 4300);
  const demo = environment.HAPSET_DEMO === '1';
  if (demo && !isLoopback(host) && environment.HAPSET_DEMO_PUBLIC !== '1')
    throw new Error(
      `HAPSET_HOST is ${host}, but the demo's passwords are public: it listens on loopback only, unless HAPSET_DEMO_PUBLIC is 1.`,
    );
  return {
    host,
    port,
    publicAddress: publicAddressOf(environment.HAPSET_PUBLIC_ADDRESS, `http://${host}:${port}`),
    database: databaseOf(environment),
    trustedHosts: listOf(environment.HAPSET_TRUSTED_HOSTS),
    proxies: proxiesOf(environment.HAPSET_PROXIES),
    demo,
    ...foldersOf(environment, demo),
    officeProgram: environment.HAPSET_SOFFICE === undefined ? findOffice() : environment.HAPSET_SOFFICE || null,
    chromiumProgram: environment.HAPSET_CHROMIUM === undefined ? findChromium() : environment.HAPSET_CHROMIUM || null,
    fileLimitBytes: megabytesOf('HAPSET_FILE_LIMIT_MB', environment.HAPSET_FILE_LIMIT_MB, 200),
    teacherLimitBytes: megabytesOf('HAPSET_TEACHER_LIMIT_MB', environment.HAPSET_TEACHER_LIMIT_MB, 5000),
    version: packageVersion(),
    logLevel: environment.HAPSET_LOG_LEVEL ?? 'info',
  };
}

type Environment = Readonly<Record<string, string | undefined>>;

function databaseOf(environment: Environment): Configuration['database'] {
  return {
    socket: environment.HAPSET_DB_SOCKET || null,
    host: environment.HAPSET_DB_HOST ?? '127.0.0.1',
    port: portOf('HAPSET_DB_PORT', environment.HAPSET_DB_PORT, 3306),
    user: environment.HAPSET_DB_USER ?? 'hapset',
    password: secret(environment.HAPSET_DB_PASSWORD, environment.HAPSET_DB_PASSWORD_FILE),
    name: environment.HAPSET_DB_NAME ?? 'hapset',
  };
}

/** Of the pages, the service descriptions that come along, and kept files; those of this project where nothing is said. */
function foldersOf(
  environment: Environment,
  demo: boolean,
): Pick<Configuration, 'webFolder' | 'servicesFolder' | 'filesFolder' | 'lastBackupFile'> {
  const ofProject = (path: string): string => fileURLToPath(new URL(`../../../../../${path}`, import.meta.url));
  return {
    webFolder: environment.HAPSET_WEB_FOLDER ?? ofProject('apps/web/dist'),
    servicesFolder: environment.HAPSET_SERVICES_FOLDER ?? (demo ? ofProject('demo/services') : null),
    filesFolder: environment.HAPSET_FILES_FOLDER ?? ofProject('.data/files'),
    lastBackupFile: environment.HAPSET_LAST_BACKUP_FILE ?? null,
  };
}

function publicAddressOf(value: string | undefined, otherwise: string): string {
  if (value === undefined || value === '') return otherwise;
  if (!isPublicAddress(value))
    throw new Error(`HAPSET_PUBLIC_ADDRESS must be like https://hapset.school.example, got "${value}".`);
  return value;
}

function isLoopback(host: string): boolean {
  return host === 'localhost' || host === '::1' || /^127\.\d+\.\d+\.\d+$/.test(host);
}

function listOf(value: string | undefined): readonly string[] {
  return (value ?? '')
    .split(',')
    .map((entry) => entry.trim().toLowerCase())
    .filter((entry) => entry !== '');
}

function proxiesOf(value: string | undefined): readonly string[] {
  const proxies = listOf(value);
  const wrong = proxies.find((proxy) => !isNetwork(proxy));
  if (wrong !== undefined)
    throw new Error(`HAPSET_PROXIES must name addresses or networks like 10.0.0.5 or 10.0.0.0/24, got "${wrong}".`);
  return proxies;
}

function portOf(name: string, value: string | undefined, otherwise: number): number {
  if (value === undefined || value === '') return otherwise;
  const port = Number(value);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`${name} must be a port from 0 to 65535, got "${value}".`);
  return port;
}

/** A megabyte has 1,000,000 bytes. */
function megabytesOf(name: string, value: string | undefined, otherwise: number): number {
  const megabytes = value === undefined || value === '' ? otherwise : Number(value);
  if (!Number.isInteger(megabytes) || megabytes < 1)
    throw new Error(`${name} must be a whole number of megabytes from 1, got "${value ?? ''}".`);
  return megabytes * 1_000_000;
}

function secret(value: string | undefined, file: string | undefined): string {
  if (value !== undefined) return value;
  if (file === undefined) return '';
  if (!existsSync(file)) throw new Error(`HAPSET_DB_PASSWORD_FILE names ${file}, which does not exist.`);
  return readFileSync(file, 'utf8').trim();
}

function packageVersion(): string {
  const file = fileURLToPath(new URL('../../../package.json', import.meta.url));
  return (JSON.parse(readFileSync(file, 'utf8')) as { version: string }).version;
}
