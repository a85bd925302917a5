import type { ActivityPage } from '@hapset/contract';
import { limits } from '@hapset/contract';
import { student } from '../../test/route-bodies.js';
import { Scene } from '../../test/scene.js';
import { ActivityService } from './activity.service.js';
import { Retention } from '../retention/retention.js';

const dayMs = 24 * 3600 * 1000;

describe('the activity log', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
  });
  afterAll(() => scene.stop());

  const read = (query = '') => scene.server.ok<ActivityPage>('Pell', 'GET', `/api/activity${query}`);

  it('holds what office and administrators do, and no student’s name', async () => {
    await scene.importRoster([student]);
    await scene.server.ok('Hesper', 'GET', '/api/students-file?format=csv');
    await scene.server.ok('Hesper', 'POST', '/api/student-erasures', { className: student.className });
    await scene.server.ok('Pell', 'PUT', '/api/school/teacher-classes', { limited: null });
    const { entries } = await read();
    expect(entries.map(({ who, activity, subject }) => [who, activity, subject])).toEqual([
      ['Pell', 'teacher-classes-changed', ''],
      ['Hesper', 'students-erased', '1'],
      ['Hesper', 'students-exported', '1'],
      ['Hesper', 'roster-imported', '+1 ~0 −0'],
    ]);
    expect(JSON.stringify(entries)).not.toMatch(/Ann|Lee|00123/);
  });

  it('is read page by page, by kind and by person, and as CSV', async () => {
    const log = scene.server.app.get(ActivityService);
    for (let count = 0; count < limits.activityPage; count += 1)
      await log.note({ id: 'x'.repeat(36), name: '=Corin', role: 'office' }, 'students-exported', String(count));
    const first = await read();
    expect(first.entries).toHaveLength(limits.activityPage);
    const second = await read(`?before=${first.next}`);
    expect([second.entries.length, second.next]).toEqual([4, null]);
    expect((await read('?activity=roster-imported')).entries).toHaveLength(1);
    expect((await read('?who=Hesper')).entries).toHaveLength(3);
    expect((await read('?activity=nonsense')).entries).toHaveLength(limits.activityPage);
    const csv = await scene.server.as('Pell', 'GET', '/api/activity.csv?who=%3DCorin');
    expect(csv.headers['content-disposition']).toBe('attachment; filename="Activity.csv"');
    expect(csv.text.split('\r\n')).toHaveLength(limits.activityPage + 2);
    expect(csv.text).toContain("'=Corin,office,students-exported");
    expect((await read()).entries[0]).toMatchObject({ who: 'Pell', activity: 'activity-exported' });
  });

  it('forgets after a year', async () => {
    scene.server.clock.advance(365 * dayMs + 1);
    await scene.server.app.get(Retention).deleteOld();
    await scene.server.app.get(ActivityService).note(null, 'account-created', 'Wenna');
    const rows = await scene.server.app.get(ActivityService).rows({ before: null, activity: null, who: null }, 10);
    expect(rows.map(({ who, activity }) => [who, activity])).toEqual([['the server’s console', 'account-created']]);
  });
});
