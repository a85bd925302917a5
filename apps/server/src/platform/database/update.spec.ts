import type { LessonsPage, ShelfPage } from '@hapset/contract';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import request from 'supertest';
import { DataSource } from 'typeorm';
import { dataSourceOptions } from '../../app/data-source.js';
import { createDatabase, dropDatabase, TestServer } from '../../test/test-server.js';
import { readConfiguration } from '../configuration/configuration.js';
import { migrate, NewerDatabaseError } from './migrate.js';

/** A dump of the demo at migration 1813, before accounts were made in the application. */
const dump = join(__dirname, 'fixtures/1813-demo.sql.gz');

function optionsFor(name: string) {
  const configuration = readConfiguration();
  return dataSourceOptions({ ...configuration, database: { ...configuration.database, name } });
}

describe('an update', () => {
  let name: string;
  beforeEach(async () => {
    name = await createDatabase();
  });
  afterEach(() => dropDatabase(name));

  it('takes over the database of an earlier version: accounts, lessons and materials are there', async () => {
    const options = optionsFor(name);
    const loader = await new DataSource({
      ...options,
      extra: { multipleStatements: true },
    } as typeof options).initialize();
    await loader.query(gunzipSync(readFileSync(dump)).toString('utf8'));
    await loader.destroy();
    const server = await TestServer.start({ database: name });
    const { upQueries } = await server.dataSource.driver.createSchemaBuilder().log();
    expect(upQueries.map(({ query }) => query)).toEqual([]);
    const agent = request.agent(server.app.getHttpServer());
    await agent
      .post('/api/session')
      .send({ email: 'maren.dallow@fernhollow.example', password: 'low-tide-at-nine' })
      .expect(201);
    const lessons = (await agent.get('/api/lessons').expect(200)).body as LessonsPage;
    expect(lessons.rows.map(({ name: lesson }) => lesson)).toContain('Life between the tides');
    const shelf = (await agent.get('/api/materials').expect(200)).body as ShelfPage;
    expect(shelf.rows.length).toBeGreaterThan(5);
    await agent.get(`/api/lessons/${lessons.rows[0]?.id}`).expect(200);
    await server.stop();
  });

  it('does not touch the database of a newer version', async () => {
    const dataSource = await new DataSource(optionsFor(name)).initialize();
    await migrate(dataSource);
    await dataSource.query("INSERT INTO migrations (timestamp, name) VALUES (1999000000000, 'Later1999000000000')");
    await expect(migrate(dataSource)).rejects.toThrow(NewerDatabaseError);
    await expect(migrate(dataSource)).rejects.toThrow('Later1999000000000');
    await dataSource.destroy();
  });
});
