import { DataSource } from 'typeorm';
import { readConfiguration } from '../configuration/configuration.js';
import { createDatabase, dropDatabase } from '../../test/test-server.js';
import { dataSourceOptions } from '../../app/data-source.js';
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
});
