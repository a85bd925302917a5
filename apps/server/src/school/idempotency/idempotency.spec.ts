import { randomUUID } from 'node:crypto';
import type { AddedView, LessonsPage } from '@hapset/contract';
import type { Response } from 'supertest';
import { link, Scene, words } from '../../test/scene.js';
import { AnsweredRequest } from './answered-request.entity.js';
import { AnsweredRequests } from './answered-requests.js';

const lesson = { name: 'Tides', classId: null, date: null, startsAt: null, place: '', viewingDistanceM: 2 };

describe('a change with a key', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
    scene.server.app.get(AnsweredRequests).patience = { everyMs: 20, times: 100 };
  });
  afterAll(() => scene.stop());

  const send = async (key: string, method: 'POST' | 'PATCH' | 'DELETE', path: string, body?: object, who = 'Maren') =>
    (await scene.server.as(who, method, path, body, { 'Idempotency-Key': `"${key}"` })) as Response;
  const lessons = async (who = 'Maren') => (await scene.server.ok<LessonsPage>(who, 'GET', '/api/lessons')).rows.length;
  const rows = () => scene.server.dataSource.getRepository(AnsweredRequest);

  it('is done once, whoever loses the reply: thirty at the same moment get the same one', async () => {
    const key = randomUUID();
    const before = await lessons();
    const replies = await Promise.all(Array.from({ length: 30 }, () => send(key, 'POST', '/api/lessons', lesson)));
    expect(new Set(replies.map(({ status }) => status))).toEqual(new Set([201]));
    expect(new Set(replies.map(({ body }) => (body as { id: string }).id)).size).toBe(1);
    expect(await lessons()).toBe(before + 1);
  });

  it('of a version is no conflict when it comes a second time', async () => {
    const lessonId = await scene.lesson();
    const { lesson: found } = await scene.bench(lessonId);
    const key = randomUUID();
    const change = { ...lesson, name: 'Low tide', version: found.version };
    const [first, again] = [
      await send(key, 'PATCH', `/api/lessons/${lessonId}`, change),
      await send(key, 'PATCH', `/api/lessons/${lessonId}`, change),
    ];
    expect([first.status, again.status, again.body]).toEqual([200, 200, first.body]);
    expect((await send(randomUUID(), 'PATCH', `/api/lessons/${lessonId}`, change)).status).toBe(409);
  });

  it('without a reply has none the second time either', async () => {
    const [stationId = ''] = await scene.stations(await scene.lesson(), [words('A riddle')]);
    const key = randomUUID();
    const first = await send(key, 'DELETE', `/api/stations/${stationId}`);
    await scene.server.ok('Maren', 'POST', `/api/stations/${stationId}/restore`);
    const again = await send(key, 'DELETE', `/api/stations/${stationId}`);
    expect([again.status, again.text]).toEqual([first.status, first.text]);
    expect((await scene.page(stationId)).code).not.toBeNull();
  });

  it('is another one with another account, and none with another request', async () => {
    const key = randomUUID();
    const before = await lessons('Tobiah');
    await send(key, 'POST', '/api/lessons', lesson);
    expect((await send(key, 'POST', '/api/lessons', lesson, 'Tobiah')).status).toBe(201);
    expect(await lessons('Tobiah')).toBe(before + 1);
    const other = await send(key, 'POST', '/api/lessons', { ...lesson, name: 'Another' });
    expect([other.status, other.body]).toMatchObject([400, { reason: 'invalid' }]);
    for (const bad of ['x', randomUUID(), `"${'0'.repeat(36)}"`])
      expect(
        (await scene.server.as('Maren', 'POST', '/api/lessons', lesson, { 'Idempotency-Key': bad })).body,
      ).toMatchObject({ reason: 'invalid' });
  });

  it('that failed is done again, and one that is too long to keep too', async () => {
    const key = randomUUID();
    const bad = await send(key, 'POST', '/api/lessons', { ...lesson, name: ' ' });
    expect(bad.status).toBe(400);
    expect(await rows().countBy({ key })).toBe(0);
    const lessonId = await scene.lesson();
    const many = Array.from({ length: 60 }, (_, index) => link(`https://a.example/${index}`));
    const added = await send(key, 'POST', `/api/lessons/${lessonId}/stations`, { items: many, materialIds: [] });
    expect((added.body as AddedView).stationIds).toHaveLength(60);
    expect((await rows().findOneByOrFail({ key })).reply).toBe(JSON.stringify(added.body));
  });

  it('that a killed server left is begun again after a minute, and waits until then', async () => {
    const { id: accountId } = await rows()
      .manager.getRepository<{ id: string }>('Account')
      .findOneByOrFail({
        email: 'maren@test.example',
      } as object);
    const key = randomUUID();
    await send(key, 'POST', '/api/lessons', lesson);
    // As if its server had ended before the reply.
    await rows().update({ key }, { answeredAt: null, reply: null, heldAt: () => 'NOW(3) - INTERVAL 30 SECOND' });
    const waits = await send(key, 'POST', '/api/lessons', lesson);
    expect([waits.status, waits.body]).toMatchObject([503, { reason: 'unavailable' }]);
    await rows().update({ key, accountId }, { heldAt: () => 'NOW(3) - INTERVAL 61 SECOND' });
    const before = await lessons();
    const replies = await Promise.all(Array.from({ length: 8 }, () => send(key, 'POST', '/api/lessons', lesson)));
    expect(new Set(replies.map(({ body }) => (body as { id: string }).id)).size).toBe(1);
    expect(await lessons()).toBe(before + 1);
  });

  it('is forgotten after a day, and when a student is erased', async () => {
    const [old, fresh] = [randomUUID(), randomUUID()];
    for (const key of [old, fresh]) await send(key, 'POST', '/api/lessons', lesson);
    await rows().update({ key: old }, { heldAt: () => 'NOW(3) - INTERVAL 25 HOUR' });
    await scene.server.app.get(AnsweredRequests).deleteOld();
    expect([await rows().countBy({ key: old }), await rows().countBy({ key: fresh })]).toEqual([0, 1]);
    await scene.importRoster([
      { schoolId: '7', prefix: '', given: 'Ann', middle: '', family: 'Lee', className: '6', year: '' },
    ]);
    await scene.server.ok('Hesper', 'POST', '/api/student-erasures', { className: '6' });
    expect(await rows().countBy({ key: fresh })).toBe(0);
  });
});
