import type { ConditionCheck, ConditionName, ConditionView } from '@hapset/contract';
import { mkdirSync, mkdtempSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { newId } from '../../platform/database/columns.js';
import { Scene } from '../../test/scene.js';

describe('the condition page', () => {
  let scene: Scene;
  let folder: string;
  let filesFolder: string;
  beforeAll(async () => {
    folder = mkdtempSync(join(tmpdir(), 'hapset-condition-'));
    filesFolder = join(folder, 'files');
    mkdirSync(filesFolder);
    scene = await Scene.start({ filesFolder, lastBackupFile: join(folder, 'last-backup.json') });
  });
  afterAll(async () => {
    await scene.stop();
    rmSync(folder, { recursive: true, force: true });
  });

  const look = async (): Promise<Partial<Record<ConditionName, ConditionCheck>>> => {
    const { checks } = await scene.server.ok<ConditionView>('Pell', 'GET', '/api/condition');
    return Object.fromEntries(checks.map((check) => [check.name, check]));
  };

  it('shows what this server is like', async () => {
    const seen = await look();
    expect(seen.database).toMatchObject({ state: 'good' });
    expect(seen.disk?.facts.freeBytes).toBeGreaterThan(0);
    expect(seen.files).toMatchObject({ state: 'good' });
    // Another port than this server's.
    expect(seen.address).toMatchObject({ state: 'attention', facts: { address: 'http://127.0.0.1:4300' } });
    expect(seen.browser).toMatchObject({ state: 'attention', facts: { browser: 'missing' } });
    expect(seen.queue).toMatchObject({ state: 'good', facts: { failed: 0 } });
  });

  it('sees that the public address leads here', async () => {
    const { version, ...school } = await scene.server.ok<{ version: number }>('Pell', 'GET', '/api/school');
    await scene.server.ok('Pell', 'PATCH', '/api/school', {
      ...school,
      publicAddress: await scene.server.app.getUrl(),
      version,
    });
    expect((await look()).address).toMatchObject({ state: 'good' });
  });

  it('is not ready while its files can’t be kept, and says so without figures', async () => {
    const ready = () => scene.server.as(null, 'GET', '/api/ready');
    expect((await ready()).body).toEqual({ version: '0.1.0', database: 'up', files: 'up', disk: 'up' });
    renameSync(filesFolder, `${filesFolder}-away`);
    expect([(await ready()).status, (await ready()).body as unknown]).toEqual([
      503,
      { reason: 'unavailable', message: 'The folder with kept files can’t be written to.' },
    ]);
    expect((await look()).files).toMatchObject({ state: 'stop' });
    renameSync(`${filesFolder}-away`, filesFolder);
    expect((await ready()).status).toBe(200);
  });

  it('tells of jobs that failed, and of the last backup', async () => {
    expect((await look()).backup).toMatchObject({ state: 'attention', facts: {} });
    const madeAt = scene.server.clock.now().toISOString();
    writeFileSync(join(folder, 'last-backup.json'), JSON.stringify({ madeAt, problem: null }));
    expect((await look()).backup).toEqual({ name: 'backup', state: 'good', facts: { at: madeAt } });
    writeFileSync(join(folder, 'last-backup.json'), JSON.stringify({ madeAt, problem: 'no room' }));
    expect((await look()).backup).toMatchObject({ state: 'stop', facts: { problem: 'no room' } });
    await scene.server.dataSource.query(
      "INSERT INTO jobs (id, kind, subject, state, run_at, created_at, finished_at) VALUES (?, 'x', 'x', 'failed', NOW(3), NOW(3), NOW(3))",
      [newId()],
    );
    expect((await look()).queue).toMatchObject({ state: 'attention', facts: { failed: 1 } });
  });
});
