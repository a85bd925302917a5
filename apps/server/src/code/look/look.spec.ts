import type { LookPictureView, LooksView, LookView, MaterialPage } from '@hapset/contract';
import { plainLook, type LookDesign } from '@hapset/core';
import { newId } from '../../platform/database/columns.js';
import { link, Scene, words } from '../../test/scene.js';
import { smallPng } from '../../test/small-png.js';
import { uploaded } from '../../test/upload.js';

const green: LookDesign = {
  ...plainLook,
  ink: '#1d6f5b',
  modules: 'worn',
  centre: { kind: 'icon', icon: 'shell', side: null },
};

describe('looks of the school', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
  });
  afterAll(() => scene.stop());

  const make = (name: string, design: object = green, who = 'Maren'): Promise<LookView> =>
    scene.server.ok<LookView>(who, 'POST', '/api/looks', { name, design });
  const list = (who = 'Maren'): Promise<LooksView> => scene.server.ok<LooksView>(who, 'GET', '/api/looks');
  const named = async (name: string, who = 'Maren'): Promise<LookView | undefined> =>
    (await list(who)).looks.find((look) => look.name === name);
  const rules = (defaultLookId: string | null, madeBy = 'staff') =>
    scene.server.ok<LooksView>('Pell', 'PUT', '/api/look-rules', { defaultLookId, madeBy });
  const choose = async (materialId: string, look: string | null, who = 'Maren') => {
    const { material } = await scene.server.ok<MaterialPage>(who, 'GET', `/api/materials/${materialId}`);
    return scene.server.as(who, 'PATCH', `/api/materials/${materialId}`, { version: material.version, look });
  };

  it('are seen by all staff, and changed by who made them or by the administrator', async () => {
    const { id } = await make('  Shore  ');
    expect(await named('Shore')).toMatchObject({
      id,
      design: green,
      allowed: true,
      mayChange: true,
      uses: 0,
      version: 1,
    });
    expect(await named('Shore', 'Tobiah')).toMatchObject({ id, mayChange: false });
    expect(
      (await scene.server.as('Tobiah', 'PUT', `/api/looks/${id}`, { name: 'Mine now', design: green, version: 1 }))
        .body,
    ).toMatchObject({ reason: 'not-allowed' });
    expect((await scene.server.as('Tobiah', 'DELETE', `/api/looks/${id}`)).body).toMatchObject({
      reason: 'not-allowed',
    });
    expect(
      await scene.server.ok('Pell', 'PUT', `/api/looks/${id}`, {
        name: 'Shore',
        design: { ...green, ink: '#123a6b' },
        version: 1,
      }),
    ).toMatchObject({ version: 2, design: { ink: '#123a6b' } });
    expect(
      (await scene.server.as('Maren', 'PUT', `/api/looks/${id}`, { name: 'Shore', design: green, version: 1 })).body,
    ).toMatchObject({ reason: 'stale' });
  });

  it.each([
    ['design.ink', { ...green, ink: 'red' }],
    ['design.centre.icon', { ...green, centre: { kind: 'icon', icon: 'no-such-icon', side: null } }],
    ['design.centre.pictureId', { ...green, centre: { kind: 'picture', pictureId: newId(), aspect: 1, side: null } }],
  ])('are refused with %s named', async (field, design) => {
    const refused = await scene.server.as('Maren', 'POST', '/api/looks', { name: 'x', design });
    expect([refused.status, refused.body]).toMatchObject([400, { reason: 'invalid', fields: [{ field }] }]);
    expect((await scene.server.as('Maren', 'POST', '/api/looks', { name: ' ', design: green })).status).toBe(400);
  });

  it('can be left to the administrator', async () => {
    await rules(null, 'administrator');
    expect((await scene.server.as('Maren', 'POST', '/api/looks', { name: 'x', design: green })).body).toMatchObject({
      reason: 'not-allowed',
    });
    await make('From the office', green, 'Pell');
    await rules(null);
    await make('Again');
  });

  it('are found nearest first: the code’s, the lesson’s, the school’s', async () => {
    const [own, lessons, schools] = [await make('Own'), await make('Lesson'), await make('School')];
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [link('https://a.example/limpets-1')]);
    const look = async () => (await scene.page(stationId)).look;
    expect(await look()).toMatchObject({ from: 'nobody', id: null, design: plainLook });
    await rules(schools.id);
    expect(await look()).toMatchObject({
      from: 'school',
      id: schools.id,
      name: 'School',
      judgement: { state: 'done' },
    });
    expect((await look()).judgement?.centre?.width).toBeGreaterThan(0);
    expect(await scene.server.ok('Maren', 'PUT', `/api/lessons/${lessonId}/look`, { look: lessons.id })).toMatchObject({
      look: lessons.id,
    });
    expect(await look()).toMatchObject({ from: 'lesson', id: lessons.id });
    const { material } = await scene.page(stationId);
    expect((await choose(material.id, own.id)).status).toBe(200);
    expect(await look()).toMatchObject({ from: 'material', id: own.id });
    expect((await choose(material.id, 'plain')).status).toBe(200);
    expect(await look()).toMatchObject({ from: 'material', id: null, design: plainLook });
    expect((await choose(material.id, null)).status).toBe(200);
    expect(await look()).toMatchObject({ from: 'lesson' });
    // On the shelf the lesson has no say.
    expect((await scene.server.ok<MaterialPage>('Maren', 'GET', `/api/materials/${material.id}`)).look).toMatchObject({
      from: 'school',
    });
    expect((await scene.bench(lessonId)).rows[0]?.code?.drawing.shapes).toHaveLength(3);
    await rules(null);
  });

  it('are no longer chosen once the school does not allow them, and are looked at where they are', async () => {
    const { id } = await make('Withdrawn');
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [words('What lives under the seaweed?')]);
    await scene.server.ok('Maren', 'PUT', `/api/lessons/${lessonId}/look`, { look: id });
    await scene.rehearsed(stationId, 5);
    expect((await scene.page(stationId)).readiness.reads).toMatchObject({ state: 'done', look: [] });
    expect(await scene.server.ok('Pell', 'PATCH', `/api/looks/${id}`, { allowed: false })).toMatchObject({
      allowed: false,
      uses: 1,
    });
    const page = await scene.page(stationId);
    expect(page.readiness.reads).toMatchObject({ state: 'look-at', look: ['not-allowed'] });
    expect(page.look).toMatchObject({ id, judgement: { state: 'look-at', reasons: ['not-allowed'] } });
    expect((await choose(page.material.id, id)).body).toMatchObject({ reason: 'invalid', fields: [{ field: 'look' }] });
    expect((await scene.server.as('Maren', 'PUT', `/api/lessons/${lessonId}/look`, { look: newId() })).status).toBe(
      400,
    );
    expect((await scene.server.as('Maren', 'PUT', `/api/lessons/${lessonId}/look`, { look: 'fancy' })).status).toBe(
      400,
    );
  });

  it('stay as long as something has them, and come back when they were removed', async () => {
    const { id } = await make('In use');
    const lessonId = await scene.lesson();
    await scene.server.ok('Maren', 'PUT', `/api/lessons/${lessonId}/look`, { look: id });
    expect((await scene.server.as('Maren', 'DELETE', `/api/looks/${id}`)).body).toMatchObject({
      reason: 'in-use',
      usedBy: { kind: 'code', names: [], count: 1 },
    });
    await scene.server.ok('Maren', 'PUT', `/api/lessons/${lessonId}/look`, { look: null });
    await rules(id);
    expect((await scene.server.as('Maren', 'DELETE', `/api/looks/${id}`)).body).toMatchObject({
      reason: 'in-use',
      usedBy: { kind: 'school' },
    });
    await rules(null);
    await scene.server.ok('Maren', 'DELETE', `/api/looks/${id}`);
    expect(await named('In use')).toBeUndefined();
    expect(
      (await scene.server.as('Pell', 'PUT', '/api/look-rules', { defaultLookId: id, madeBy: 'staff' })).status,
    ).toBe(404);
    expect((await scene.server.as('Tobiah', 'POST', `/api/looks/${id}/restore`)).body).toMatchObject({
      reason: 'not-allowed',
    });
    await scene.server.ok('Maren', 'POST', `/api/looks/${id}/restore`);
    expect(await named('In use')).toMatchObject({ id });
  });

  it('make a station not ready when they fail, whatever was rehearsed', async () => {
    const { id } = await make('Too pale', { ...plainLook, ink: '#f0f0f0' });
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [words('Riddle')]);
    await scene.server.ok('Maren', 'POST', `/api/stations/${stationId}/sheets`, {
      kind: 'poster',
      paper: 'A4',
      goAhead: [],
    });
    await scene.rehearsed(stationId, 9);
    expect((await scene.bench(lessonId)).summary).toMatchObject({ ready: 1 });
    await scene.server.ok('Maren', 'PUT', `/api/lessons/${lessonId}/look`, { look: id });
    await scene.rehearsed(stationId, 9);
    const { summary, rows } = await scene.bench(lessonId);
    expect(summary.ready).toBe(0);
    expect(rows[0]?.readiness).toMatchObject({
      reads: { state: 'stop', look: ['too-little-contrast'] },
      paper: { state: 'look-at', changed: ['look', 'size'] },
    });
    expect(
      (
        await scene.server.as('Maren', 'POST', `/api/stations/${stationId}/sheets`, {
          kind: 'poster',
          paper: 'A4',
          goAhead: [],
        })
      ).body,
    ).toMatchObject({ warnings: ['does-not-read'] });
  });
});

describe('pictures in the middle', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
  });
  afterAll(() => scene.stop());

  it('are made small out of an upload, and seen by all staff', async () => {
    const picture = await scene.server.ok<LookPictureView>('Maren', 'POST', '/api/look-pictures', {
      uploadId: await uploaded(scene, await smallPng(1600, 800)),
    });
    expect(picture.aspect).toBe(2);
    const call = await scene.server.as('Tobiah', 'GET', `/api/look-pictures/${picture.id}`);
    expect([call.headers['content-type'], (call.body as Buffer).readUInt32BE(16)]).toEqual(['image/png', 512]);
  });

  it.each([
    ['an SVG', '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'],
    ['words', 'only a few words'],
    ['what begins like a picture', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13])],
  ])('are none out of %s', async (_, bytes) => {
    expect(
      (await scene.server.as('Maren', 'POST', '/api/look-pictures', { uploadId: await uploaded(scene, bytes) })).body,
    ).toMatchObject({ reason: 'unusable-picture' });
  });

  it('are none where they are too long and narrow', async () => {
    expect(
      (
        await scene.server.as('Maren', 'POST', '/api/look-pictures', {
          uploadId: await uploaded(scene, await smallPng(600, 20)),
        })
      ).body,
    ).toMatchObject({ reason: 'unusable-picture' });
  });
});
