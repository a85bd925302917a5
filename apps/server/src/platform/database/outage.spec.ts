import request from 'supertest';
import { readConfiguration } from '../configuration/configuration.js';
import { listenWhileStarting } from '../../app/health/while-starting.js';
import { DatabaseGate } from '../../test/database-gate.js';
import { connect } from './connect.js';
import { createDatabase, dropDatabase } from '../../test/test-server.js';
import { dataSourceOptions } from '../../app/data-source.js';
import { isDatabaseAway } from './outage.js';
import { pino } from 'pino';

const realSocket = readConfiguration().database.socket ?? '';

describe('while the database is away', () => {
  let gate: DatabaseGate;
  beforeAll(async () => {
    gate = await DatabaseGate.start(realSocket);
  });
  afterAll(() => gate.stop());

  it('a server that starts waits for it, and shows that it lives', async () => {
    await gate.shut();
    const name = await createDatabase();
    const configuration = readConfiguration();
    const options = dataSourceOptions({
      ...configuration,
      database: { ...configuration.database, socket: gate.socket, name },
    });
    let connected = false;
    const waiting = connect(options, pino({ level: 'silent' })).then((dataSource) => ((connected = true), dataSource));
    const early = await listenWhileStarting({ host: '127.0.0.1', port: 0, version: 'x' });
    const ask = (path: string) => request(`http://127.0.0.1:${early.port}`).get(path);
    expect((await ask('/api/health')).status).toBe(200);
    expect((await ask('/api/ready')).body).toMatchObject({ reason: 'unavailable' });
    expect((await ask('/p/x')).text).toContain('can’t be shown right now');
    expect(connected).toBe(false);
    await gate.restore();
    await (await waiting).destroy();
    await early.close();
    await dropDatabase(name);
  });

  it('is told from what is wrong with the request', () => {
    expect(isDatabaseAway(Object.assign(new Error('x'), { code: 'ENOENT', fatal: true }))).toBe(true);
    expect(isDatabaseAway(Object.assign(new Error('x'), { code: 'PROTOCOL_CONNECTION_LOST' }))).toBe(true);
    expect(isDatabaseAway(Object.assign(new Error('no such file'), { code: 'ENOENT' }))).toBe(false);
    expect(isDatabaseAway(Object.assign(new Error('x'), { code: 'ER_DUP_ENTRY', fatal: false }))).toBe(false);
    expect(isDatabaseAway('text')).toBe(false);
  });
});
