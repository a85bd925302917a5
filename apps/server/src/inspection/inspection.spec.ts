import type { CodeInspection, CreatedMaterials, MaterialPage, NewMaterial } from '@hapset/contract';
import { link, Scene, words } from '../test/scene.js';

describe('inspecting a code', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
  });
  afterAll(() => scene.stop());

  const inspect = async (payload: string, who = 'Maren') => (await scene.server.ok<CodeInspection>(who, 'POST', '/api/inspections', { payload })).known;

  it('says which station of which lessons it is', async () => {
    const lessonId = await scene.lesson();
    const [, second = ''] = await scene.stations(lessonId, [words('first'), link('https://a.example/leaf/pools')]);
    const { material } = await scene.page(second);
    const other = await scene.lesson('Maren', { name: 'Another walk' });
    await scene.server.ok('Maren', 'POST', `/api/lessons/${other}/stations`, { items: [], materialIds: [material.id] });
    const there = (await scene.bench(other)).rows[0]?.stationId;
    expect(await inspect('https://a.example/leaf/pools')).toEqual([
      { materialId: material.id, title: material.title, exact: true, stations: [{ stationId: there, lessonId: other, lessonName: 'Another walk', position: 1 }, { stationId: second, lessonId, lessonName: 'Life between the tides', position: 2 }] },
    ]);
    expect(await inspect('first')).toMatchObject([{ exact: true, stations: [{ position: 1 }] }]);
    await scene.server.ok('Maren', 'DELETE', `/api/lessons/${other}`);
    expect((await inspect('https://a.example/leaf/pools'))[0]?.stations).toHaveLength(1);
  });

  it('knows a short link by its slug, however it is written, and a link that is carried otherwise now', async () => {
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [link('https://a.example/leaf/shells')]);
    const { material } = await scene.page(stationId);
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${material.id}`, { version: material.version, carry: 'short-link' });
    const payload = (await scene.page(stationId)).code?.payload ?? '';
    expect(await inspect(payload)).toMatchObject([{ materialId: material.id, exact: true }]);
    expect(await inspect(payload.toLowerCase())).toMatchObject([{ materialId: material.id, exact: false }]);
    expect(await inspect('https://a.example/leaf/shells')).toMatchObject([{ materialId: material.id, exact: false }]);
    expect(await inspect('https://elsewhere.example/K/CD3F7')).toEqual([]);
  });

  it('knows fields by what they make, and pages by their address', async () => {
    const network: NewMaterial = { content: { kind: 'network', name: 'Guests', security: 'WPA', password: 'tide;pool', hidden: false }, pasted: 'Guests', repairs: [] };
    const page: NewMaterial = { kept: { kind: 'written-page', document: { type: 'doc', content: [] } }, pasted: 'page', repairs: [] };
    const { materialIds } = await scene.server.ok<CreatedMaterials>('Maren', 'POST', '/api/materials', { items: [network, page] });
    for (const id of materialIds) {
      const { code } = await scene.server.ok<MaterialPage>('Maren', 'GET', `/api/materials/${id}`);
      expect(await inspect(code?.payload ?? '')).toMatchObject([{ materialId: id, exact: true, stations: [] }]);
    }
  });

  it('tells nothing of another’s, of what was removed, and of what is strange', async () => {
    const { materialIds: [id = ''] } = await scene.server.ok<CreatedMaterials>('Maren', 'POST', '/api/materials', { items: [words('only mine')] });
    expect(await inspect('only mine', 'Tobiah')).toEqual([]);
    expect(await inspect('only mine')).toHaveLength(1);
    await scene.server.ok('Maren', 'DELETE', `/api/materials/${id}`);
    expect(await inspect('only mine')).toEqual([]);
    for (const payload of ["' OR 1=1 --", 'http://', 'K/CD3F7', '\u0000']) expect(await inspect(payload)).toEqual([]);
    expect((await scene.server.as('Maren', 'POST', '/api/inspections', { payload: '' })).status).toBe(400);
  });
});
