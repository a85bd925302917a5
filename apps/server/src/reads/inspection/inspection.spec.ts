import type {
  CodeInspection,
  CreatedMaterials,
  LinkCheckAsked,
  LinkCheckView,
  MaterialPage,
  NewMaterial,
  SchoolView,
} from '@hapset/contract';
import { link, Scene, words } from '../../test/scene.js';
import { until } from '../../test/until.js';

describe('inspecting a code', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start({ proxies: ['127.0.0.1'] });
  });
  afterAll(() => scene.stop());

  const inspect = async (payload: string, who = 'Maren') =>
    (await scene.server.ok<CodeInspection>(who, 'POST', '/api/inspections', { payload })).known;

  it('says which station of which lessons it is', async () => {
    const lessonId = await scene.lesson();
    const [, second = ''] = await scene.stations(lessonId, [words('first'), link('https://a.example/leaf/pools')]);
    const { material } = await scene.page(second);
    const other = await scene.lesson('Maren', { name: 'Another walk' });
    await scene.server.ok('Maren', 'POST', `/api/lessons/${other}/stations`, { items: [], materialIds: [material.id] });
    const there = (await scene.bench(other)).rows[0]?.stationId;
    expect(await inspect('https://a.example/leaf/pools')).toEqual([
      {
        materialId: material.id,
        title: material.title,
        exact: true,
        stations: [
          { stationId: there, lessonId: other, lessonName: 'Another walk', position: 1 },
          { stationId: second, lessonId, lessonName: 'Life between the tides', position: 2 },
        ],
      },
    ]);
    expect(await inspect('first')).toMatchObject([{ exact: true, stations: [{ position: 1 }] }]);
    await scene.server.ok('Maren', 'DELETE', `/api/lessons/${other}`);
    expect((await inspect('https://a.example/leaf/pools'))[0]?.stations).toHaveLength(1);
  });

  it('knows a short link by its slug, however it is written, and a link that is carried otherwise now', async () => {
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [link('https://a.example/leaf/shells')]);
    const { material } = await scene.page(stationId);
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${material.id}`, {
      version: material.version,
      carry: 'short-link',
    });
    const payload = (await scene.page(stationId)).code?.payload ?? '';
    expect(await inspect(payload)).toMatchObject([{ materialId: material.id, exact: true }]);
    expect(await inspect(payload.toLowerCase())).toMatchObject([{ materialId: material.id, exact: false }]);
    expect(await inspect('https://a.example/leaf/shells')).toMatchObject([{ materialId: material.id, exact: false }]);
    expect(await inspect('https://elsewhere.example/K/CD3F7')).toEqual([]);
  });

  it('knows fields by what they make, and pages by their address', async () => {
    const network: NewMaterial = {
      content: { kind: 'network', name: 'Guests', security: 'WPA', password: 'tide;pool', hidden: false },
      pasted: 'Guests',
      repairs: [],
    };
    const page: NewMaterial = {
      kept: { kind: 'written-page', document: { type: 'doc', content: [] } },
      pasted: 'page',
      repairs: [],
    };
    const { materialIds } = await scene.server.ok<CreatedMaterials>('Maren', 'POST', '/api/materials', {
      items: [network, page],
    });
    for (const id of materialIds) {
      const { code } = await scene.server.ok<MaterialPage>('Maren', 'GET', `/api/materials/${id}`);
      expect(await inspect(code?.payload ?? '')).toMatchObject([{ materialId: id, exact: true, stations: [] }]);
    }
  });

  it('follows a link for visitors from the networks that the school names, by what its own proxies say of them', async () => {
    const { url } = await scene.server.listening('Maren');
    const asVisitor = async (
      forwardedFor: string,
      method: string,
      path = '',
      body?: object,
    ): Promise<{ status: number; body: unknown }> => {
      const response = await fetch(`${url}/api/visitor-inspections${path}`, {
        method,
        headers: { 'X-Forwarded-For': forwardedFor, 'Content-Type': 'application/json' },
        ...(body && { body: JSON.stringify(body) }),
      });
      return { status: response.status, body: await response.json() };
    };
    const inside = '203.0.113.9, 10.20.4.5';
    expect((await asVisitor(inside, 'GET')).body).toEqual({ mayInspect: false });
    const school = await scene.server.ok<SchoolView>('Pell', 'GET', '/api/school');
    await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, visitorNetworks: ['10.20.0.0/16'] });
    expect((await asVisitor(inside, 'GET')).body).toEqual({ mayInspect: true });
    // What the visitor writes itself comes before what the proxy saw, and counts for nothing.
    expect((await asVisitor('10.20.4.5, 203.0.113.9', 'GET')).body).toEqual({ mayInspect: false });
    expect((await asVisitor('203.0.113.9', 'POST', '', { link: 'ftp://a.example' })).body).toMatchObject({
      reason: 'not-allowed',
    });

    const asked = await asVisitor(inside, 'POST', '', { link: 'ftp://a.example/x' });
    expect(asked.status).toBe(202);
    const { id } = asked.body as LinkCheckAsked;
    expect(
      await until(
        () => asVisitor(inside, 'GET', `/${id}`),
        ({ body }) => (body as LinkCheckView).state === 'done',
      ),
    ).toMatchObject({ body: { link: 'ftp://a.example/x', state: 'done' } });
    expect((await asVisitor('203.0.113.9', 'GET', `/${id}`)).status).toBe(404);
    // Staff's own checks are nothing that a visitor could ask for.
    const ofStaff = await scene.server.ok<LinkCheckAsked>('Maren', 'POST', '/api/link-checks', {
      link: 'ftp://a.example/y',
    });
    expect((await asVisitor(inside, 'GET', `/${ofStaff.id}`)).status).toBe(404);

    const more = await Promise.all(
      Array.from({ length: 60 }, () => asVisitor(inside, 'POST', '', { link: 'ftp://a.example/z' })),
    );
    expect(more.filter(({ status }) => status === 429).map(({ body }) => body)).toMatchObject([
      { reason: 'too-many-attempts' },
    ]);
    scene.server.clock.advance(3_700_000);
    expect((await asVisitor(inside, 'POST', '', { link: 'ftp://a.example/z' })).status).toBe(202);
    expect((await asVisitor(inside, 'GET', `/${id}`)).status).toBe(404);
  });

  it('tells nothing of another’s, of what was removed, and of what is strange', async () => {
    const {
      materialIds: [id = ''],
    } = await scene.server.ok<CreatedMaterials>('Maren', 'POST', '/api/materials', { items: [words('only mine')] });
    expect(await inspect('only mine', 'Tobiah')).toEqual([]);
    expect(await inspect('only mine')).toHaveLength(1);
    await scene.server.ok('Maren', 'DELETE', `/api/materials/${id}`);
    expect(await inspect('only mine')).toEqual([]);
    for (const payload of ["' OR 1=1 --", 'http://', 'K/CD3F7', '\u0000']) expect(await inspect(payload)).toEqual([]);
    expect((await scene.server.as('Maren', 'POST', '/api/inspections', { payload: '' })).status).toBe(400);
  });
});
