/** A whole server on a database of its own, for tests: real MariaDB, real HTTP, a clock that can be moved. */
import 'reflect-metadata';
import { randomBytes } from 'node:crypto';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Writable } from 'node:stream';
import { fileURLToPath } from 'node:url';
import type { INestApplication } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { Role } from '@hapset/contract';
import { pino } from 'pino';
import request, { type Test } from 'supertest';
import { DataSource } from 'typeorm';
import { Account } from '../school/account/account.entity.js';
import { hashPassword } from '../school/account/password.js';
import { AppModule } from '../app/app.module.js';
import { setUp } from '../app/application.js';
import { Clock, StandingClock } from '../platform/clock/clock.js';
import { readConfiguration, type Configuration } from '../platform/configuration/configuration.js';
import { newId } from '../platform/database/columns.js';
import { given } from '../platform/database/given.js';
import { JobService } from '../platform/queue/job.service.js';
import { createLogger, NestLog } from '../platform/logging/logging.js';

export const testPassword = 'a shell for every crab';

/** Where the descriptions of the stand-in services are. */
export const demoServices = fileURLToPath(new URL('../../../../demo/services', import.meta.url));

/** The database that `npm test` started; without it the tests say what to do. */
function testConfiguration(
  database: string,
  {
    trustedHosts = [],
    webFolder = tmpdir(),
    servicesFolder = demoServices,
    filesFolder = mkdtempSync(join(tmpdir(), 'hapset-files-')),
    lastBackupFile = null,
    officeProgram = null,
    chromiumProgram = null,
    proxies = [],
    demo = true,
    databaseSocket,
    teacherLimitBytes,
  }: TestServerOptions,
): Configuration {
  if (process.env.HAPSET_DB_PASSWORD_FILE === undefined && process.env.HAPSET_DB_PASSWORD === undefined) {
    throw new Error('These tests need the test database. Run them with: npm test -- server');
  }
  const configuration = readConfiguration({ ...process.env, HAPSET_DB_NAME: database });
  return {
    ...configuration,
    filesFolder,
    lastBackupFile,
    trustedHosts,
    webFolder,
    servicesFolder,
    officeProgram,
    chromiumProgram,
    proxies,
    demo,
    publicAddress: 'http://127.0.0.1:4300',
    logLevel: 'silent',
    database: { ...configuration.database, ...given({ socket: databaseSocket }) },
    ...given({ teacherLimitBytes }),
  };
}

export async function withRoot<T>(work: (root: DataSource) => Promise<T>): Promise<T> {
  const { database } = readConfiguration();
  const root = await new DataSource({
    type: 'mariadb',
    ...(database.socket === null ? { host: database.host, port: database.port } : { socketPath: database.socket }),
    username: database.user,
    password: database.password,
  }).initialize();
  try {
    return await work(root);
  } finally {
    await root.destroy();
  }
}

export async function createDatabase(): Promise<string> {
  const name = `hapset_test_${randomBytes(6).toString('hex')}`;
  await withRoot((root) => root.query(`CREATE DATABASE \`${name}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`));
  return name;
}

export async function dropDatabase(name: string): Promise<void> {
  await withRoot((root) => root.query(`DROP DATABASE IF EXISTS \`${name}\``));
}

export interface TestServerOptions {
  readonly trustedHosts?: readonly string[];
  /** A database that exists already, for a second server on it. */
  readonly database?: string;
  readonly webFolder?: string;
  /** Descriptions that come with the installation; those of the demo where nothing is said. */
  readonly servicesFolder?: string | null;
  /** Kept files; a folder of its own where nothing is said. */
  readonly filesFolder?: string;
  /** Where the last backup is noted; nowhere where nothing is said. */
  readonly lastBackupFile?: string | null;
  readonly teacherLimitBytes?: number;
  /** Proxies in front whose word is taken. */
  readonly proxies?: readonly string[];
  /** The database's socket, where something stands between. */
  readonly databaseSocket?: string;
  /** What the server writes to its log; nothing where nothing is said. */
  readonly logTo?: Writable;
  /** Whether it is a demo; it is where nothing is said. */
  readonly demo?: boolean;
  /** Stands in for LibreOffice; there is none where nothing is said, whatever this machine has. */
  readonly officeProgram?: string | null;
  /** None where nothing is said: a browser takes seconds. */
  readonly chromiumProgram?: string | null;
}

export class TestServer {
  private readonly sessions = new Map<string, string>();

  private constructor(
    readonly app: INestApplication,
    readonly database: string,
    readonly clock: StandingClock,
    private readonly ownsDatabase: boolean,
  ) {}

  static async start(options: TestServerOptions = {}): Promise<TestServer> {
    const { database, logTo } = options;
    const name = database ?? (await createDatabase());
    const logger = logTo === undefined ? pino({ level: 'silent' }) : createLogger('info', logTo);
    const configuration = testConfiguration(name, options);
    const app = await NestFactory.create(AppModule.with(configuration, logger), {
      abortOnError: false,
      forceCloseConnections: true,
      bodyParser: false,
      logger: new NestLog(logger),
    });
    const clock = new StandingClock();
    // Every provider asks the one clock; here it stands still.
    app.get(Clock).now = () => clock.now();
    setUp(app, configuration, logger);
    await app.listen(0, '127.0.0.1');
    return new TestServer(app, name, clock, database === undefined);
  }

  async stop(): Promise<void> {
    await this.app.close();
    if (this.ownsDatabase) await dropDatabase(this.database);
  }

  get dataSource(): DataSource {
    return this.app.get(DataSource);
  }

  async addAccount(name: string, role: Role = 'teacher'): Promise<string> {
    const id = newId();
    const email = `${name.toLowerCase()}@test.example`;
    await this.dataSource
      .getRepository(Account)
      .insert({ id, name, email, role, passwordHash: await hashPassword(testPassword), createdAt: this.clock.now() });
    return id;
  }

  /** Cookie of somebody who is signed in; made at the first call. */
  async cookieOf(name: string): Promise<string> {
    const known = this.sessions.get(name);
    if (known !== undefined) return known;
    const response = await request(this.app.getHttpServer())
      .post('/api/session')
      .send({ email: `${name.toLowerCase()}@test.example`, password: testPassword, keep: true })
      .expect(201);
    const cookie = (response.headers['set-cookie']?.[0] ?? '').split(';')[0] ?? '';
    this.sessions.set(name, cookie);
    return cookie;
  }

  /** Where it listens, and the cookie of somebody, for requests that don't end. */
  async listening(name: string): Promise<{ readonly url: string; readonly cookie: string }> {
    return { url: await this.app.getUrl(), cookie: await this.cookieOf(name) };
  }

  /** A request by somebody; null for a stranger. */
  async as(
    name: string | null,
    method: string,
    path: string,
    body?: object,
    headers: Readonly<Record<string, string>> = {},
  ): Promise<Test> {
    const cookie = name === null ? '' : await this.cookieOf(name);
    const agent = request(this.app.getHttpServer());
    const call = agent[method.toLowerCase() as 'get'](path).set({ ...headers, Cookie: cookie });
    return body === undefined ? call : call.send(body);
  }

  /** As if what waits for its next attempt had waited long enough. */
  async waitingJobsAreDue(): Promise<void> {
    await this.dataSource.query("UPDATE jobs SET run_at = NOW(3) WHERE state = 'waiting' AND run_at > NOW(3)");
    this.app.get(JobService).wake();
  }

  /** As if whoever works on those jobs had been killed, and their leases had run out. */
  async workersAreGone(subjects: readonly string[]): Promise<void> {
    await this.dataSource.query(
      "UPDATE jobs SET state = 'working', claim = NULL, lease_until = NOW(3) - INTERVAL 1 SECOND WHERE subject IN (?)",
      [subjects],
    );
    this.app.get(JobService).wake();
  }

  /** A file, as bytes. */
  async file(name: string, path: string): Promise<Test> {
    return request(this.app.getHttpServer())
      .get(path)
      .set('Cookie', await this.cookieOf(name))
      .responseType('blob');
  }

  /** The reply's body of a request that must succeed. */
  async ok<T>(name: string, method: string, path: string, body?: object): Promise<T> {
    const response = await this.as(name, method, path, body);
    if (response.status >= 300) throw new Error(`${method} ${path} answered ${response.status}: ${response.text}`);
    return response.body as T;
  }
}
