import { emptyCatalogue } from '@hapset/core';
import { DataSource } from 'typeorm';
import { SystemClock } from '../clock/clock.js';
import { readConfiguration } from '../configuration/configuration.js';
import { loadDemo } from '../../demo/load-demo.js';
import { readScenario } from '../../demo/scenario.js';
import { FileUse } from '../../gather/file/file-use.entity.js';
import { Lesson } from '../../lessons/lesson/lesson.entity.js';
import { Material } from '../../gather/material/material.entity.js';
import { MemoryStorage } from '../storage/memory-storage.js';
import { createDatabase, dropDatabase } from '../../test/test-server.js';
import { dataSourceOptions } from '../../app/data-source.js';
import { migrate } from './migrate.js';

describe('the database', () => {
  let name: string;
  let dataSource: DataSource;
  const options = () =>
    dataSourceOptions({ ...readConfiguration(), database: { ...readConfiguration().database, name } });
  beforeAll(async () => {
    name = await createDatabase();
    dataSource = await new DataSource(options()).initialize();
  });
  afterAll(async () => {
    await dataSource.destroy();
    await dropDatabase(name);
  });

  it('is migrated by two servers that start at once', async () => {
    const other = await new DataSource(options()).initialize();
    await Promise.all([migrate(dataSource), migrate(other)]);
    await other.destroy();
    const applied = (await dataSource.query('SELECT name FROM migrations')) as { name: string }[];
    expect(new Set(applied.map((row) => row.name)).size).toBe(applied.length);
    expect(applied.length).toBeGreaterThan(0);
  });

  it('has exactly the tables that the entities describe', async () => {
    const { upQueries } = await dataSource.driver.createSchemaBuilder().log();
    expect(upQueries.map((query) => query.query)).toEqual([]);
  });

  it('keeps every character', async () => {
    const tables = (await dataSource.query(
      "SELECT table_name AS name, table_collation AS collation FROM information_schema.tables WHERE table_schema = ? AND table_name <> 'migrations'",
      [name],
    )) as { collation: string }[];
    expect(new Set(tables.map((table) => table.collation))).toEqual(new Set(['utf8mb4_unicode_ci']));
  });

  it('finds every list by an index', async () => {
    const plans = await Promise.all(
      [
        "SELECT * FROM materials WHERE owner_id = 'x' AND removed_at IS NULL ORDER BY id DESC LIMIT 61",
        "SELECT * FROM stations WHERE lesson_id IN ('x') AND removed_at IS NULL ORDER BY position, id",
        "SELECT * FROM jobs WHERE claim = 'x'",
        'DELETE FROM jobs WHERE finished_at < NOW(3) - INTERVAL 7 DAY',
        'SELECT * FROM access_checks WHERE changed_at >= NOW(3) - INTERVAL 3 SECOND',
        "SELECT * FROM access_checks WHERE material_id = 'x' AND state = 'done' ORDER BY id DESC LIMIT 20",
        "SELECT * FROM sheets WHERE station_id = 'x' ORDER BY id DESC LIMIT 5",
        "SELECT * FROM lessons WHERE owner_id = 'x' AND removed_at IS NULL",
        "SELECT * FROM kept_files WHERE owner_id = 'x' AND removed_at IS NULL ORDER BY id DESC LIMIT 61",
        "SELECT * FROM kept_files WHERE token = 'x'",
        "SELECT * FROM materials WHERE page_token = 'x'",
        "SELECT * FROM file_uses WHERE file_id IN ('x', 'y')",
        "SELECT * FROM earlier_pages WHERE material_id = 'x' ORDER BY id DESC LIMIT 30",
        "SELECT * FROM jobs WHERE kind = 'x' AND subject = 'y' AND state IN ('waiting', 'working')",
        "SELECT * FROM sessions WHERE token_hash = 'x'",
      ].map(
        async (query) => ((await dataSource.query(`EXPLAIN ${query}`)) as { key: string | null; Extra: string }[])[0],
      ),
    );
    for (const plan of plans) expect(plan?.key ?? plan?.Extra).toMatch(/^IDX_|^PRIMARY$|const table/);
  });

  it('takes the demo once, and never over what a person changed', async () => {
    const setting = {
      scenario: readScenario(),
      publicAddress: 'http://127.0.0.1:4300',
      neighbours: {
        cofferlane: 'http://cofferlane.localhost:1',
        askleaf: 'http://askleaf.localhost:1',
        glimreel: 'http://glimreel.localhost:1',
      },
      clock: new SystemClock(),
      services: emptyCatalogue,
      storage: new MemoryStorage(),
    };
    expect(await loadDemo(dataSource, setting)).toBe(true);
    const lessons = dataSource.getRepository(Lesson);
    const before = await lessons.count();
    expect(before).toBe(setting.scenario.lessons.length);
    await lessons.update({ name: 'Life between the tides' }, { name: 'Changed by hand' });
    expect(await loadDemo(dataSource, setting)).toBe(false);
    expect(await lessons.count()).toBe(before);
    expect(await lessons.countBy({ name: 'Changed by hand' })).toBe(1);
    const links = (await dataSource.getRepository(Material).find()).flatMap((material) => material.link ?? []);
    expect(links.length).toBeGreaterThan(0);
    const kept = (await dataSource.getRepository(Material).find()).filter((material) => material.kept !== null);
    expect(kept.map(({ kind }) => kind).sort()).toEqual(['file', 'picture-set', 'written-page']);
    expect(await dataSource.getRepository(FileUse).count()).toBe(5);
    for (const address of links) expect(address).toMatch(/^http:\/\/(?:cofferlane|askleaf|glimreel)\.localhost:1\//);
  });
});
