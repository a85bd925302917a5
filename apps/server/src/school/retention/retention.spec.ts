import { recordKinds, retentionRanges, type RetentionView } from '@hapset/contract';
import { newId } from '../../platform/database/columns.js';
import { JobService } from '../../platform/queue/job.service.js';
import { link, Scene } from '../../test/scene.js';
import { student } from '../../test/route-bodies.js';
import { until } from '../../test/until.js';
import { DailyDeletion } from './daily-deletion.js';
import { Retention } from './retention.js';

const dayMs = 24 * 3600 * 1000;

describe('retention', () => {
  let scene: Scene;
  let materialId: string;
  let studentId: string;
  beforeAll(async () => {
    scene = await Scene.start();
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [link('http://127.0.0.1:9/tides')]);
    materialId = (await scene.page(stationId)).material.id;
    await scene.opened(lessonId);
    await scene.importRoster([student]);
    studentId = (await query<{ id: string }>('SELECT id FROM students'))[0]?.id ?? '';
  });
  afterAll(() => scene.stop());

  const query = <Row>(sql: string, values: readonly unknown[] = []): Promise<readonly Row[]> =>
    scene.server.dataSource.query(sql, [...values]) as Promise<readonly Row[]>;
  const count = async (table: string): Promise<number> =>
    Number((await query<{ rows: string }>(`SELECT COUNT(*) AS \`rows\` FROM ${table}`))[0]?.rows);
  const read = (): Promise<RetentionView> => scene.server.ok('Pell', 'GET', '/api/retention');
  const daysAgo = (days: number): Date => new Date(scene.server.clock.now().getTime() - days * dayMs);

  async function insert(table: string, row: Readonly<Record<string, unknown>>): Promise<void> {
    const marks = Object.keys(row).map(() => '?');
    await query(
      `INSERT INTO ${table} (${Object.keys(row).join(', ')}) VALUES (${marks.join(', ')})`,
      Object.values(row),
    );
  }

  /** A card that was read so long ago. */
  async function addReading(days: number): Promise<void> {
    const row = { id: newId(), student_id: studentId, read_by_id: await accountOf('Maren'), read_at: daysAgo(days) };
    await insert('card_readings', row);
  }

  async function accountOf(name: string): Promise<string> {
    return (await query<{ id: string }>('SELECT id FROM accounts WHERE name = ?', [name]))[0]?.id ?? '';
  }

  /** A record of each kind that has a table of its own, as old as that. */
  async function addRecords(days: number): Promise<void> {
    const at = daysAgo(days);
    const accountId = await accountOf('Maren');
    const id = newId;
    await addReading(days);
    await insert('tryouts', { id: id(), material_id: materialId, outcome: 'opened', payload: 'x', at });
    await insert('short_link_counts', { slug: 'ABCDEFGH', hour: at, visitor: 'phone', opens: 3 });
    await insert('activity_entries', { id: id(), at, who: 'Pell', activity: 'invited', subject: '' });
    const roster = { id: id(), imported_by_id: accountId, file_name: 'x', changes: '{}', imported_at: at };
    await insert('roster_imports', roster);
    const times = { created_at: at, run_at: at, finished_at: at };
    await insert('jobs', { id: id(), kind: 'none', subject: id(), lane: '', state: 'done', ...times });
    await insert('access_checks', { id: id(), asked_by_id: accountId, state: 'done', link: 'x', asked_at: at });
  }

  it('deletes what is older than its kind is kept, and says how many went', async () => {
    const tables = [
      'card_readings',
      'tryouts',
      'short_link_counts',
      'activity_entries',
      'roster_imports',
      'jobs',
      'access_checks',
    ];
    const before = await Promise.all(tables.map(count));
    await addRecords(10);
    await addRecords(4000);
    await scene.server.app.get(Retention).deleteOld();
    const { last } = await read();
    const one = { checks: 1, readings: 1, imports: 1, tryouts: 1, linkCounts: 1, activity: 1 };
    // Work that ended ten days ago is older than a week.
    expect(last?.deleted).toMatchObject({ ...one, jobs: 2, prints: 0 });
    expect(last?.at).toBe(scene.server.clock.now().toISOString());
    const left = tables.map((table) => (table === 'jobs' ? 0 : 1));
    expect(await Promise.all(tables.map(count))).toEqual(before.map((rows, index) => rows + (left[index] ?? 0)));
  });

  it('is chosen by the administrator within bounds, and each change is recorded', async () => {
    const { days, version } = await read();
    expect(days).toEqual(Object.fromEntries(recordKinds.map((kind) => [kind, retentionRanges[kind].usual])));
    const change = (days: object, at = version) =>
      scene.server.as('Pell', 'PUT', '/api/retention', { days, version: at });
    await scene.server.ok('Pell', 'POST', '/api/session/confirmation', { password: 'a shell for every crab' });
    expect((await change({ ...days, readings: 0 })).status).toBe(400);
    expect((await change({ ...days, activity: 30 })).status).toBe(400);
    expect((await change({ ...days, readings: 1.5 })).status).toBe(400);
    expect((await change({ readings: 5 })).status).toBe(400);
    expect((await change({ ...days, readings: 5 })).body).toMatchObject({
      days: { readings: 5 },
      version: version + 1,
    });
    expect((await change({ ...days, readings: 6 })).status).toBe(409);
    expect(await query("SELECT who FROM activity_entries WHERE activity = 'retention-changed'")).toEqual([
      { who: 'Pell' },
    ]);
    await addRecords(6);
    await scene.server.app.get(Retention).deleteOld();
    expect((await read()).last?.deleted.readings).toBeGreaterThan(0);
    expect((await scene.server.as('Maren', 'GET', '/api/retention')).status).toBe(403);
  });

  it('keeps the last two checks of a material, whatever their age', async () => {
    const checks = (): Promise<readonly { id: string }[]> =>
      query('SELECT id FROM access_checks WHERE material_id = ? ORDER BY id', [materialId]);
    for (let check = 0; check < 3; check += 1)
      await query("INSERT INTO access_checks (id, material_id, state, link, asked_at) VALUES (?, ?, 'done', 'x', ?)", [
        newId(),
        materialId,
        daysAgo(0),
      ]);
    const before = await checks();
    scene.server.clock.advance(4000 * dayMs);
    await scene.server.app.get(Retention).deleteOld();
    expect(await checks()).toEqual(before.slice(-2));
  });

  it('deletes once a day, by one job for all servers', async () => {
    const retention = scene.server.app.get(Retention);
    const deletion = jest.spyOn(retention, 'deleteOld');
    const asked = jest.spyOn(scene.server.app.get(JobService), 'enqueue');
    const daily = scene.server.app.get(DailyDeletion);
    expect(await retention.isDue()).toBe(false);
    await daily.ask();
    expect(asked).not.toHaveBeenCalled();
    scene.server.clock.advance(dayMs);
    await Promise.all([daily.ask(), daily.ask()]);
    await until(
      () => retention.view(),
      ({ last }) => last?.at === scene.server.clock.now().toISOString(),
    );
    await daily.ask();
    expect(deletion).toHaveBeenCalledTimes(1);
  });

  it('goes on with the other kinds where one can’t be deleted, and says so', async () => {
    const retention = scene.server.app.get(Retention);
    await query('RENAME TABLE tryouts TO tryouts_away');
    await addReading(4000);
    await expect(retention.deleteOld()).rejects.toThrow();
    expect(await count('card_readings')).toBe(0);
    await query('RENAME TABLE tryouts_away TO tryouts');
    await retention.deleteOld();
  });
});
