import type { CreatedMaterials, MaterialPage, SheetView } from '@hapset/contract';
import { link, Scene } from '../../test/scene.js';

describe('handing in a rehearsal', () => {
  let scene: Scene;
  let lessonId: string;
  let stationId: string;
  beforeAll(async () => {
    scene = await Scene.start();
    lessonId = await scene.lesson();
    [stationId = ''] = await scene.stations(lessonId, [link('https://a.example/leaf/x')]);
  });
  afterAll(() => scene.stop());

  const result = (deviceId: string, more: object = {}) => ({
    deviceId,
    reachM: 2.4,
    hitAndMissM: 2.5,
    fromM: 0.3,
    frames: 90,
    confidence: 0.95,
    tried: [{ distanceM: 2.4, trials: 21, read: 21 }],
    others: [{ engine: 'qr', reachM: 1.8, misread: null }],
    misread: null,
    ...more,
  });
  const save = async (results: readonly object[], key?: string, unreadBy: readonly string[] = []) => {
    const { rehearsal } = await scene.page(stationId);
    return scene.server.as('Maren', 'PUT', `/api/stations/${stationId}/rehearsals/${key ?? rehearsal.key}`, {
      results,
      unreadBy,
    });
  };

  it('is what the bench shows after a reload', async () => {
    expect((await save([result(scene.deviceIds[0] ?? '')])).status).toBe(200);
    const [row] = (await scene.bench(lessonId)).rows;
    expect(row?.readiness.reads).toEqual({
      state: 'done',
      leastReachM: 2.4,
      distanceM: 2,
      devices: 1,
      fallShort: [],
      failed: [],
      look: [],
    });
    expect(row?.rehearsal.results).toEqual([result(scene.deviceIds[0] ?? '')]);
  });

  it('is replaced by a later one of the same', async () => {
    await save([result(scene.deviceIds[0] ?? '', { reachM: 1.7 })]);
    expect((await scene.page(stationId)).readiness.reads).toMatchObject({
      state: 'look-at',
      leastReachM: 1.7,
      fallShort: ['Tablets'],
    });
  });

  it('is where the rehearsal of another code of the same shape begins, for its owner alone', async () => {
    const first = await scene.page(stationId);
    expect(first.rehearsal.like).toBeNull();
    const [alike = '', finer = ''] = await scene.stations(lessonId, [
      link('https://a.example/leaf/y'),
      link('https://a.example/leaf/a-much-longer-way-to-a-finer-code/y'),
    ]);
    const { rehearsal } = await scene.page(alike);
    expect(rehearsal.key).not.toBe(first.rehearsal.key);
    expect(rehearsal.results).toBeNull();
    expect(rehearsal.like).toEqual(first.rehearsal.results);
    expect((await scene.page(finer)).rehearsal.like).toBeNull();
    const [other = ''] = await scene.stations(await scene.lesson('Pell'), [link('https://a.example/leaf/z')], 'Pell');
    expect((await scene.page(other, 'Pell')).rehearsal.like).toBeNull();
  });

  it('stops where one of the engines can’t read it even flat', async () => {
    await save([result(scene.deviceIds[0] ?? '')], undefined, ['zbar']);
    const { readiness, rehearsal, look } = await scene.page(stationId);
    expect(readiness.reads).toMatchObject({ state: 'stop', look: ['not-read-flat'] });
    expect(rehearsal.unreadBy).toEqual(['zbar']);
    expect(look.judgement?.reasons).toEqual(['not-read-flat']);
    expect((await save([result(scene.deviceIds[0] ?? '')], undefined, ['eye'])).status).toBe(400);
  });

  it('stops where something else was read', async () => {
    await save([result(scene.deviceIds[0] ?? '', { misread: { at: 3, meant: 'x', read: 'y' } })]);
    expect((await scene.page(stationId)).readiness.reads.state).toBe('stop');
  });

  it.each([
    ['others', [{ engine: 'eye', reachM: 1, misread: null }]],
    ['confidence', 1.2],
    ['tried', [{ distanceM: 1, trials: -1, read: 0 }]],
  ])('refuses results with wrong %s', async (field, value) => {
    expect((await save([result(scene.deviceIds[0] ?? '', { [field]: value })])).body).toMatchObject({
      reason: 'invalid',
    });
  });

  it('must name each device once', async () => {
    expect((await save([])).body).toMatchObject({ reason: 'invalid', fields: [{ field: 'results' }] });
    expect((await save([result(scene.deviceIds[1] ?? '')])).status).toBe(400);
  });

  it('stands for the same code in another of the teacher’s materials, and for nobody else’s', async () => {
    await save([result(scene.deviceIds[0] ?? '', { reachM: 2.7 })]);
    const [twin = ''] = await scene.stations(await scene.lesson('Maren', { name: 'Again' }), [
      link('https://a.example/leaf/x'),
    ]);
    expect((await scene.page(twin)).rehearsal.results).toMatchObject([{ reachM: 2.7 }]);
    const [foreign = ''] = await scene.stations(
      await scene.lesson('Tobiah'),
      [link('https://a.example/leaf/x')],
      'Tobiah',
    );
    const theirs = await scene.page(foreign, 'Tobiah');
    expect(theirs.rehearsal.key).toBe((await scene.page(twin)).rehearsal.key);
    expect(theirs.rehearsal.results).toBeNull();
  });

  it('is refused, and no longer shown, when code, size or devices changed meanwhile', async () => {
    const before = await scene.page(stationId);
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${before.material.id}`, {
      version: before.material.version,
      link: 'https://a.example/leaf/another',
    });
    expect((await save([result(scene.deviceIds[0] ?? '')], before.rehearsal.key)).body).toMatchObject({
      reason: 'rehearsal-outdated',
    });
    const after = await scene.page(stationId);
    expect(after.rehearsal.key).not.toBe(before.rehearsal.key);
    expect(after.readiness.reads.state).toBe('not-yet');
  });

  it('is found again when the change is taken back', async () => {
    const { material } = await scene.page(stationId);
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${material.id}`, {
      version: material.version,
      link: 'https://a.example/leaf/x',
    });
    expect((await scene.page(stationId)).rehearsal.results).not.toBeNull();
  });
});

describe('size and distance chosen by hand', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
  });
  afterAll(() => scene.stop());

  it('belong to the station: its sheet and its rehearsal take them, and the lesson’s other stations don’t', async () => {
    const [first = '', second = ''] = await scene.stations(await scene.lesson(), [
      link('https://a.example/leaf/x'),
      link('https://a.example/leaf/y'),
    ]);
    const { rehearsal: before, station } = await scene.page(first);
    expect(before).toMatchObject({ chosenSizeMm: null, ownDistanceM: null, distanceM: 2 });
    await scene.server.ok('Maren', 'PATCH', `/api/stations/${first}`, {
      version: station?.version,
      sizeMm: before.sizeMm - 25,
      viewingDistanceM: 1.2,
    });
    const { rehearsal: after, station: changed } = await scene.page(first);
    expect(after).toMatchObject({
      sizeMm: before.sizeMm - 25,
      chosenSizeMm: before.sizeMm - 25,
      distanceM: 1.2,
      ownDistanceM: 1.2,
    });
    expect(after.key).not.toBe(before.key);
    expect((await scene.page(second)).rehearsal).toMatchObject({ chosenSizeMm: null, distanceM: 2 });
    const sheet = await scene.server.ok<SheetView>('Maren', 'POST', `/api/stations/${first}/sheets`, {
      kind: 'poster',
      paper: 'A4',
      goAhead: ['locked', 'not-opening', 'not-opened-yet', 'does-not-read'],
    });
    expect(sheet.sizeMm).toBe(before.sizeMm - 25);
    await scene.server.ok('Maren', 'PATCH', `/api/stations/${first}`, {
      version: changed?.version,
      sizeMm: null,
      viewingDistanceM: null,
    });
    expect((await scene.page(first)).rehearsal).toMatchObject({ key: before.key, sizeMm: before.sizeMm, distanceM: 2 });
    expect((await scene.page(first)).readiness.paper).toMatchObject({ state: 'look-at', changed: ['size'] });
  });

  it('never exceed the paper, and have bounds', async () => {
    const {
      materialIds: [id = ''],
    } = await scene.server.ok<CreatedMaterials>('Maren', 'POST', '/api/materials', {
      items: [link('https://a.example/z')],
    });
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${id}`, { version: 1, sizeMm: 900 });
    const { rehearsal } = await scene.server.ok<MaterialPage>('Maren', 'GET', `/api/materials/${id}`);
    expect(rehearsal).toMatchObject({ sizeMm: rehearsal.largestMm, chosenSizeMm: 900 });
    for (const sizeMm of [0, 9, 1001, 50.5, '60'])
      expect((await scene.server.as('Maren', 'PATCH', `/api/materials/${id}`, { version: 2, sizeMm })).status).toBe(
        400,
      );
  });
});
