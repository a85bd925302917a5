import { link, Scene } from '../test/scene.js';

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

  const result = (deviceId: string, more: object = {}) => ({ deviceId, reachM: 2.4, hitAndMissM: 2.5, fromM: 0.3, frames: 90, misread: null, ...more });
  const save = async (results: readonly object[], key?: string) => {
    const { rehearsal } = await scene.page(stationId);
    return scene.server.as('Maren', 'PUT', `/api/stations/${stationId}/rehearsals/${key ?? rehearsal.key}`, { results });
  };

  it('is what the bench shows after a reload', async () => {
    expect((await save([result(scene.deviceIds[0] ?? '')])).status).toBe(200);
    const [row] = (await scene.bench(lessonId)).rows;
    expect(row?.readiness.reads).toEqual({ state: 'done', leastReachM: 2.4, distanceM: 2, devices: 1, fallShort: [], look: [] });
    expect(row?.rehearsal.results).toEqual([result(scene.deviceIds[0] ?? '')]);
  });

  it('is replaced by a later one of the same', async () => {
    await save([result(scene.deviceIds[0] ?? '', { reachM: 1.7 })]);
    expect((await scene.page(stationId)).readiness.reads).toMatchObject({ state: 'look-at', leastReachM: 1.7, fallShort: ['Tablets'] });
  });

  it('stops where something else was read', async () => {
    await save([result(scene.deviceIds[0] ?? '', { misread: { at: 3, meant: 'x', read: 'y' } })]);
    expect((await scene.page(stationId)).readiness.reads.state).toBe('stop');
  });

  it('must name each device once', async () => {
    expect((await save([])).body).toMatchObject({ reason: 'invalid', fields: [{ field: 'results' }] });
    expect((await save([result(scene.deviceIds[1] ?? '')])).status).toBe(400);
  });

  it('is refused, and no longer shown, when code, size or devices changed meanwhile', async () => {
    const before = await scene.page(stationId);
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${before.material.id}`, { version: before.material.version, link: 'https://a.example/leaf/another' });
    expect((await save([result(scene.deviceIds[0] ?? '')], before.rehearsal.key)).body).toMatchObject({ reason: 'rehearsal-outdated' });
    const after = await scene.page(stationId);
    expect(after.rehearsal.key).not.toBe(before.rehearsal.key);
    expect(after.readiness.reads.state).toBe('not-yet');
  });

  it('is found again when the change is taken back', async () => {
    const { material } = await scene.page(stationId);
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${material.id}`, { version: material.version, link: 'https://a.example/leaf/x' });
    expect((await scene.page(stationId)).rehearsal.results).not.toBeNull();
  });
});
