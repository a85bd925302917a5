import { DataSource } from 'typeorm';
import { dataSourceOptions } from '../../app/data-source.js';
import { createDatabase, dropDatabase } from '../../test/test-server.js';
import { readConfiguration } from '../configuration/configuration.js';
import { ChangeReader } from './change-reader.js';

describe('what changed since the last reading', () => {
  let name: string;
  let dataSource: DataSource;
  beforeAll(async () => {
    name = await createDatabase();
    const configuration = readConfiguration();
    dataSource = await new DataSource(
      dataSourceOptions({ ...configuration, database: { ...configuration.database, name } }),
    ).initialize();
    await dataSource.query('CREATE TABLE things (id INT PRIMARY KEY, changed_at DATETIME(3) NOT NULL)');
  });
  afterAll(async () => {
    await dataSource.destroy();
    await dropDatabase(name);
  });

  const change = (id: number, secondsAgo: number) =>
    dataSource.query('REPLACE INTO things VALUES (?, NOW(3) - INTERVAL ? SECOND)', [id, secondsAgo]);
  const changed = async (since: string): Promise<number[]> =>
    (
      (await dataSource.query('SELECT id FROM things WHERE changed_at >= ? ORDER BY id', [since])) as { id: number }[]
    ).map(({ id }) => id);

  it('is read however long ago that reading was', async () => {
    // As if the server had been busy for two minutes between its readings: the first one is dated so far back.
    const reader = new ChangeReader(dataSource, 120);
    await change(1, 300);
    expect(await reader.read(changed)).toEqual([]);
    await change(2, 100);
    expect(await reader.read(changed)).toEqual([2]);
  });

  it('is read again where a reading failed', async () => {
    const reader = new ChangeReader(dataSource, 0);
    await dataSource.query('DELETE FROM things');
    await reader.read(changed);
    await change(3, 0);
    await expect(reader.read(() => Promise.reject(new Error('away')))).rejects.toThrow('away');
    expect(await reader.read(changed)).toEqual([3]);
  });

  it('is forgotten when nobody asks for a while', async () => {
    const reader = new ChangeReader(dataSource, 30);
    await dataSource.query('DELETE FROM things');
    const first = await reader.read((since) => Promise.resolve(since));
    reader.forget();
    await change(4, 60);
    expect(await reader.read(changed)).toEqual([]);
    expect(await reader.read((since) => Promise.resolve(since >= first))).toBe(true);
  });
});
