import { limits, type LessonsPage, type LessonView, type Problem } from '@hapset/contract';
import request from 'supertest';
import { link, Scene, words } from '../../test/scene.js';

describe('lessons and their bench', () => {
  let scene: Scene;
  beforeAll(async () => (scene = await Scene.start()));
  afterAll(() => scene.stop());

  const names = async (lessonId: string): Promise<readonly string[]> =>
    (await scene.bench(lessonId)).rows.map((row) => row.name);

  it('show stations with their four answers', async () => {
    const lessonId = await scene.lesson();
    await scene.stations(lessonId, [words('Who am I?')]);
    const bench = await scene.bench(lessonId);
    expect(bench.lesson).toMatchObject({
      name: 'Life between the tides',
      className: '6 Kestrel',
      date: '2027-06-10',
      startsAt: '09:40',
    });
    expect(bench.rows[0]).toMatchObject({
      position: 1,
      name: 'Who am I?',
      material: { kind: 'message', words: 'Who am I?', instruction: 'Point your camera here and read what it says.' },
      code: { carry: 'words', payload: 'Who am I?', version: 1, grain: 'coarse' },
      readiness: {
        opens: { state: 'done', inTheCode: true },
        carries: { state: 'done' },
        reads: { state: 'not-yet' },
        paper: { state: 'not-yet' },
      },
    });
    expect(bench.rows[0]?.rehearsal.devices.map((device) => device.name)).toEqual(['Tablets']);
    expect(bench.summary).toMatchObject({ stations: 1, ready: 0, troubles: { locked: 0, 'without-sheet': 1 } });
  });

  it('rehearse on all of the school’s devices where there is no class', async () => {
    const lessonId = await scene.lesson('Maren', { classId: null });
    await scene.stations(lessonId, [words('x')]);
    expect((await scene.bench(lessonId)).rows[0]?.rehearsal.devices).toHaveLength(2);
  });

  it('put stations in a new order, and refuse one that is not the whole list', async () => {
    const lessonId = await scene.lesson();
    const [a = '', b = '', c = ''] = await scene.stations(lessonId, [words('a'), words('b'), words('c')]);
    await scene.server.ok('Maren', 'PUT', `/api/lessons/${lessonId}/station-order`, { stationIds: [c, a, b] });
    expect(await names(lessonId)).toEqual(['c', 'a', 'b']);
    const missing = await scene.server.as('Maren', 'PUT', `/api/lessons/${lessonId}/station-order`, {
      stationIds: [a, b],
    });
    expect(missing.body).toMatchObject({ reason: 'stale' });
    await scene.server.ok('Maren', 'POST', `/api/lessons/${lessonId}/stations`, {
      items: [words('d')],
      materialIds: [],
    });
    expect(await names(lessonId)).toEqual(['c', 'a', 'b', 'd']);
  });

  it('rename a station for this lesson only, and go back to the title', async () => {
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [words('Riddle')]);
    await scene.server.ok('Maren', 'PATCH', `/api/stations/${stationId}`, { version: 1, name: 'By the window' });
    expect(await names(lessonId)).toEqual(['By the window']);
    expect((await scene.page(stationId)).material.title).toBe('Riddle');
    const stale = await scene.server.as('Maren', 'PATCH', `/api/stations/${stationId}`, { version: 1, name: 'Late' });
    expect(stale.status).toBe(409);
    expect(stale.body).toMatchObject({ reason: 'stale' });
    await scene.server.ok('Maren', 'PATCH', `/api/stations/${stationId}`, { version: 2, name: null });
    expect(await names(lessonId)).toEqual(['Riddle']);
  });

  it('restore a removed station in its place; its material stays on the shelf', async () => {
    const lessonId = await scene.lesson();
    const [, b = ''] = await scene.stations(lessonId, [words('a'), words('b'), words('c')]);
    const { material } = await scene.page(b);
    await scene.server.ok('Maren', 'DELETE', `/api/stations/${b}`);
    expect(await names(lessonId)).toEqual(['a', 'c']);
    expect((await scene.server.as('Maren', 'GET', `/api/stations/${b}`)).status).toBe(404);
    await scene.server.ok('Maren', 'GET', `/api/materials/${material.id}`);
    await scene.server.ok('Maren', 'POST', `/api/stations/${b}/restore`);
    expect(await names(lessonId)).toEqual(['a', 'b', 'c']);
  });

  it('take a material from the shelf', async () => {
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [words('a')]);
    const { material } = await scene.page(stationId);
    const other = await scene.lesson();
    await scene.server.ok('Maren', 'POST', `/api/lessons/${other}/stations`, { items: [], materialIds: [material.id] });
    expect(await names(other)).toEqual(['a']);
    expect((await scene.page(stationId)).lessons).toHaveLength(2);
  });

  it('change under a version, and can be removed and restored', async () => {
    const lessonId = await scene.lesson();
    const { id: _, className: __, look: ___, ...lesson } = (await scene.bench(lessonId)).lesson;
    const changed = await scene.server.ok<LessonView>('Maren', 'PATCH', `/api/lessons/${lessonId}`, {
      ...lesson,
      viewingDistanceM: 4,
    });
    expect(changed).toMatchObject({ viewingDistanceM: 4, version: 2 });
    expect((await scene.server.as('Maren', 'PATCH', `/api/lessons/${lessonId}`, lesson)).body).toMatchObject({
      reason: 'stale',
    });
    await scene.server.ok('Maren', 'DELETE', `/api/lessons/${lessonId}`);
    expect((await scene.server.as('Maren', 'GET', `/api/lessons/${lessonId}`)).status).toBe(404);
    await scene.server.ok('Maren', 'POST', `/api/lessons/${lessonId}/restore`);
    expect((await scene.bench(lessonId)).lesson.viewingDistanceM).toBe(4);
  });

  it.each([
    ['an unknown property', { colour: 'red' }],
    ['an empty name', { name: '' }],
    ['a day that does not exist', { date: '2027-02-30' }],
    ['a time that does not exist', { startsAt: '25:00' }],
    ['a distance out of bounds', { viewingDistanceM: 0 }],
    ['a distance as text', { viewingDistanceM: '2' }],
    ['a class that is no id', { classId: 'x' }],
  ])('refuse %s, naming the field', async (_, more) => {
    const request = { name: 'x', classId: null, date: null, startsAt: null, place: '', viewingDistanceM: 2, ...more };
    const response = await scene.server.as('Maren', 'POST', '/api/lessons', request);
    expect(response.status).toBe(400);
    const [name = ''] = Object.keys(more);
    expect(response.body).toMatchObject({
      reason: 'invalid',
      fields: expect.arrayContaining([expect.objectContaining({ field: name })]) as unknown,
    });
  });

  it('refuse what is not JSON, and what is too much', async () => {
    const broken = await request(scene.server.app.getHttpServer())
      .post('/api/lessons')
      .set('Cookie', await scene.server.cookieOf('Maren'))
      .set('Content-Type', 'application/json')
      .send('{"name":');
    expect([broken.status, (broken.body as Problem).reason]).toEqual([400, 'invalid']);
    const huge = await scene.server.as('Maren', 'POST', '/api/materials', { items: [words('x'.repeat(2_200_000))] });
    expect(huge.status).toBe(413);
    expect(huge.body).toMatchObject({ reason: 'too-large' });
  });

  it('add at most so many at once, and not nothing', async () => {
    const lessonId = await scene.lesson();
    const many = Array.from({ length: limits.itemsAtOnce + 1 }, (_, index) => words(String(index)));
    expect(
      (await scene.server.as('Maren', 'POST', `/api/lessons/${lessonId}/stations`, { items: many, materialIds: [] }))
        .status,
    ).toBe(400);
    expect(
      (await scene.server.as('Maren', 'POST', `/api/lessons/${lessonId}/stations`, { items: [], materialIds: [] }))
        .status,
    ).toBe(400);
    const both = await scene.server.as('Maren', 'POST', `/api/lessons/${lessonId}/stations`, {
      items: [{ ...link('https://a.example'), words: 'x' }],
      materialIds: [],
    });
    expect(both.body).toMatchObject({ reason: 'invalid', fields: [{ field: 'items.0' }] });
  });

  it('are listed latest day first, those without a day before all, page by page', async () => {
    await scene.server.addAccount('Ysolde');
    for (let index = 0; index < limits.lessonsPage + 2; index += 1)
      await scene.lesson('Ysolde', {
        name: `L${index}`,
        classId: null,
        date: index === 5 ? null : `2027-03-${String((index % 28) + 1).padStart(2, '0')}`,
      });
    const first = await scene.server.ok<LessonsPage>('Ysolde', 'GET', '/api/lessons');
    expect(first.rows).toHaveLength(limits.lessonsPage);
    expect(first.rows[0]).toMatchObject({ name: 'L5', date: null });
    const second = await scene.server.ok<LessonsPage>(
      'Ysolde',
      'GET',
      `/api/lessons?after=${encodeURIComponent(first.next ?? '')}`,
    );
    expect(second.next).toBeNull();
    const days = [...first.rows, ...second.rows].map((row) => row.date ?? '9999');
    expect(days).toEqual([...days].sort().reverse());
    expect(new Set([...first.rows, ...second.rows].map((row) => row.id)).size).toBe(limits.lessonsPage + 2);
  });
});
