import { DataSource } from 'typeorm';
import { readConfiguration } from '../configuration/configuration.js';
import { createDatabase, dropDatabase } from '../../test/test-server.js';
import { dataSourceOptions, migrations } from '../../app/data-source.js';
import { newId } from './columns.js';
import { migrate } from './migrate.js';

/** As if the server were killed there. */
class Killed extends Error {}

describe('a migration', () => {
  it.each(['done', 'recorded'] as const)(
    'goes on where a server was killed, after every single statement (%s)',
    async (moment) => {
      const name = await createDatabase();
      const configuration = readConfiguration();
      const dataSource = await new DataSource(
        dataSourceOptions({ ...configuration, database: { ...configuration.database, name } }),
      ).initialize();
      let kills = 0;
      const start = async (): Promise<boolean> => {
        let seen = '';
        try {
          await migrate(dataSource, {
            at: (when, statement) => {
              // A statement that was done without being recorded is met again: it may pass now.
              if (when !== moment || (moment === 'done' && killedAt.has(statement))) return;
              killedAt.add(statement);
              seen = statement;
              throw new Killed();
            },
          });
          return true;
        } catch (error) {
          if (!(error instanceof Killed))
            throw new Error(`after ${kills} kills, behind "${seen.slice(0, 80)}": ${String(error)}`, { cause: error });
          kills += 1;
          return false;
        }
      };
      const killedAt = new Set<string>();
      while (!(await start()));
      expect(kills).toBeGreaterThan(100);
      const { upQueries } = await dataSource.driver.createSchemaBuilder().log();
      expect(upQueries.map((query) => query.query)).toEqual([]);
      expect(await dataSource.query('SELECT * FROM migration_steps')).toEqual([]);
      expect(await dataSource.query('SELECT name FROM locks')).toEqual([{ name: 'rosters' }]);
      await dataSource.destroy();
      await dropDatabase(name);
    },
    90_000,
  );

  it('gives the middle of a stored look its kind, and leaves the words in it and the order of its fields alone', async () => {
    const name = await createDatabase();
    const configuration = readConfiguration();
    const options = dataSourceOptions({ ...configuration, database: { ...configuration.database, name } });
    const before = await new DataSource({ ...options, migrations: migrations.slice(0, -1) }).initialize();
    await migrate(before);
    const design = (discriminant: string) =>
      JSON.stringify({
        ink: '#123a6b',
        centre: { [discriminant]: 'icon', icon: 'shell', side: null },
        caption: { words: '"centre":{"sort":"icon"' },
      });
    await before.query('INSERT INTO looks (id, name, design, made_by_id, created_at) VALUES (?, ?, ?, ?, NOW(3))', [
      newId(),
      'Old',
      design('sort'),
      newId(),
    ]);
    await before.destroy();
    const after = await new DataSource(options).initialize();
    await migrate(after);
    const [row] = (await after.query('SELECT CAST(design AS CHAR) AS design FROM looks')) as { design: unknown }[];
    expect(typeof row?.design === 'string' ? row.design : JSON.stringify(row?.design)).toBe(design('kind'));
    await after.destroy();
    await dropDatabase(name);
  });
});
