import { DataSource } from 'typeorm';
import { readConfiguration } from '../configuration/configuration.js';
import { createDatabase, dropDatabase } from '../../test/test-server.js';
import { dataSourceOptions, migrations } from '../../app/data-source.js';
import { Kinds1801000000000 } from './migrations/1801000000000-kinds.js';
import { OneQueue1802000000000 } from './migrations/1802000000000-one-queue.js';
import { PlainNames1813000000000 } from './migrations/1813000000000-plain-names.js';
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
      expect(await dataSource.query('SELECT name FROM locks')).toEqual([
        { name: 'accounts' },
        { name: 'jobs' },
        { name: 'rosters' },
      ]);
      await dataSource.destroy();
      await dropDatabase(name);
    },
    90_000,
  );

  /** Migrates a database up to, but not including, that migration. */
  async function before(
    migration: (typeof migrations)[number],
  ): Promise<{ dataSource: DataSource; migrate: () => Promise<DataSource> }> {
    const name = await createDatabase();
    const configuration = readConfiguration();
    const options = dataSourceOptions({ ...configuration, database: { ...configuration.database, name } });
    const earlier = migrations.slice(0, migrations.indexOf(migration));
    const dataSource = await new DataSource({ ...options, migrations: earlier }).initialize();
    await migrate(dataSource);
    return {
      dataSource,
      migrate: async () => {
        await dataSource.destroy();
        const after = await new DataSource(options).initialize();
        await migrate(after);
        left.push(after);
        return after;
      },
    };
  }
  const left: DataSource[] = [];
  afterEach(async () => {
    for (const dataSource of left.splice(0)) {
      const name = dataSource.options.database as string;
      await dataSource.destroy();
      await dropDatabase(name);
    }
  });

  it('gives the middle of a stored look its kind, and leaves the words in it and the order of its fields alone', async () => {
    const { dataSource, migrate: finish } = await before(Kinds1801000000000);
    const design = (discriminant: string) =>
      JSON.stringify({
        ink: '#123a6b',
        centre: { [discriminant]: 'icon', icon: 'shell', side: null },
        caption: { words: '"centre":{"sort":"icon"' },
      });
    await dataSource.query('INSERT INTO looks (id, name, design, made_by_id, created_at) VALUES (?, ?, ?, ?, NOW(3))', [
      newId(),
      'Old',
      design('sort'),
      newId(),
    ]);
    const after = await finish();
    const [row] = (await after.query('SELECT CAST(design AS CHAR) AS design FROM looks')) as { design: unknown }[];
    expect(typeof row?.design === 'string' ? row.design : JSON.stringify(row?.design)).toBe(design('kind'));
  });

  it('puts the checks that waited into the queue, each for its owner and in its host’s lane', async () => {
    const { dataSource, migrate: finish } = await before(OneQueue1802000000000);
    await dataSource.query('SET FOREIGN_KEY_CHECKS = 0');
    for (const state of ['waiting', 'opening', 'done', 'stopped'])
      await dataSource.query(
        `INSERT INTO access_checks (id, asked_by_id, state, link, host, asked_at)
         VALUES (?, 'somebody', ?, 'https://a.example/x', 'a.example', NOW(3))`,
        [state, state],
      );
    const after = await finish();
    const jobs = await after.query(
      'SELECT subject, kind, active_key AS activeKey, owner_id AS ownerId, lane, state FROM jobs ORDER BY subject',
    );
    const job = (subject: string) => ({
      subject,
      kind: 'access-check',
      activeKey: `access-check ${subject}`,
      ownerId: 'somebody',
      lane: 'a.example',
      state: 'waiting',
    });
    expect(jobs).toEqual([job('opening'), job('waiting')]);
  });

  it('gives steps of services and repairs of links their plain names', async () => {
    const { dataSource, migrate: finish } = await before(PlainNames1813000000000);
    await dataSource.query('SET FOREIGN_KEY_CHECKS = 0');
    const columns = (await dataSource.query(
      `SELECT column_name AS name FROM information_schema.columns
       WHERE table_schema = DATABASE() AND table_name = 'materials' AND is_nullable = 'NO' AND column_default IS NULL`,
    )) as { name: string }[];
    const values: Readonly<Record<string, unknown>> = {
      repairs: '[{"kind":"scheme-mended","removed":"\\"scheme-mended\\""},{"kind":"dot-mended"}]',
    };
    await dataSource.query("SET sql_mode = ''");
    await dataSource.query(
      `INSERT INTO materials (${columns.map(({ name }) => name).join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`,
      columns.map(({ name }) => values[name] ?? ''),
    );
    for (const [id, description] of [
      ['old', '{"id":"old","mending":[{"steps":["a"]}]}'],
      ['new', '{"id":"new","fixes":[]}'],
    ])
      await dataSource.query(
        'INSERT INTO service_descriptions (id, description, version, changed_at) VALUES (?, ?, 1, NOW(3))',
        [id, description],
      );
    const after = await finish();
    expect(await after.query('SELECT description FROM service_descriptions ORDER BY id')).toEqual([
      { description: { id: 'new', fixes: [] } },
      { description: { id: 'old', fixes: [{ steps: ['a'] }] } },
    ]);
    expect(await after.query('SELECT repairs FROM materials')).toEqual([
      { repairs: [{ kind: 'scheme-repaired', removed: '"scheme-mended"' }, { kind: 'dot-repaired' }] },
    ]);
  });
});
