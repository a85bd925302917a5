import type {
  AddedView,
  ChangedMaterials,
  CreatedMaterials,
  CreatedView,
  RemovedMaterials,
  ShelfMatch,
  ShelfPage,
} from '@hapset/contract';
import { newId } from '../../platform/database/columns.js';
import { lesson } from '../../test/route-bodies.js';
import { link, Scene, words } from '../../test/scene.js';

describe('several materials at once', () => {
  let scene: Scene;
  let ids: readonly string[];
  beforeAll(async () => {
    scene = await Scene.start();
    const items = [link('http://a.localhost:1/tides'), link('http://a.localhost:1/shells'), words('Who am I?')];
    ids = (await scene.server.ok<CreatedMaterials>('Maren', 'POST', '/api/materials', { items })).materialIds;
  });
  afterAll(() => scene.stop());

  const post = <Reply>(path: string, body: object, who = 'Maren'): Promise<Reply> =>
    scene.server.ok<Reply>(who, 'POST', path, body);
  const shelf = async (query = ''): Promise<ShelfPage['rows']> =>
    (await scene.server.ok<ShelfPage>('Maren', 'GET', `/api/materials${query}`)).rows;

  it('are found by their links, whatever is written otherwise in them, by their owner alone', async () => {
    const links = [
      'HTTP://A.localhost:1/tides#part',
      'http://a.localhost:1/other',
      'http://a.localhost:1/shells',
      'no',
    ];
    expect(await post<readonly ShelfMatch[]>('/api/shelf-matches', { links })).toEqual([
      { link: links[0], materialId: ids[0], title: 'Tides' },
      { link: links[2], materialId: ids[1], title: 'Shells' },
    ]);
    expect(await post('/api/shelf-matches', { links }, 'Pell')).toEqual([]);
    expect(await post('/api/shelf-matches', { links: [] })).toEqual([]);
  });

  it('gives the newest where a link is there twice', async () => {
    const again = await post<CreatedMaterials>('/api/materials', { items: [link('http://a.localhost:1/twice')] });
    const newest = await post<CreatedMaterials>('/api/materials', { items: [link('http://a.localhost:1/twice#x')] });
    const [found] = await post<readonly ShelfMatch[]>('/api/shelf-matches', { links: ['http://a.localhost:1/twice'] });
    expect(found?.materialId).toBe(newest.materialIds[0]);
    await post('/api/material-removals', { materialIds: [...again.materialIds, ...newest.materialIds] });
    expect(await post('/api/shelf-matches', { links: ['http://a.localhost:1/twice'] })).toEqual([]);
  });

  it('get a tag and lose it again: those that had it before are not named', async () => {
    const [first = '', second = ''] = ids;
    const tag = (materialIds: readonly string[], tagged: boolean) =>
      post<ChangedMaterials>('/api/material-tags', { materialIds, tag: ' low   tide ', tagged });
    expect(await tag([first], true)).toEqual({ materialIds: [first] });
    expect(await tag([first, second], true)).toEqual({ materialIds: [second] });
    expect((await shelf('?tag=low%20tide')).map(({ material }) => material.id).sort()).toEqual([first, second].sort());
    expect(await tag([second], false)).toEqual({ materialIds: [second] });
    expect((await shelf('?tag=low%20tide')).map(({ material }) => material.id)).toEqual([first]);
  });

  it('are removed but for those that a lesson shows, and restored', async () => {
    const [first = '', second = ''] = ids;
    const { id } = await post<CreatedView>('/api/lessons', lesson);
    await post<AddedView>(`/api/lessons/${id}/stations`, { items: [], materialIds: [second] });
    const removed = await post<RemovedMaterials>('/api/material-removals', { materialIds: [first, second] });
    expect(removed).toEqual({ materialIds: [first], used: [{ materialId: second, title: 'Shells' }] });
    expect((await shelf()).map(({ material }) => material.id)).not.toContain(first);
    await post('/api/material-restorations', { materialIds: [first] });
    expect((await shelf()).map(({ material }) => material.id)).toContain(first);
  });

  it.each(['/api/material-tags', '/api/material-removals', '/api/material-restorations'])(
    '%s knows no material of somebody else, and changes none of one’s own beside it',
    async (path) => {
      const theirs = await post<CreatedMaterials>('/api/materials', { items: [words('x')] }, 'Pell');
      const before = await shelf();
      for (const id of [theirs.materialIds[0], newId()]) {
        const body = { materialIds: [ids[0], id], ...(path.endsWith('tags') && { tag: 'y', tagged: true }) };
        expect((await scene.server.as('Maren', 'POST', path, body)).status).toBe(404);
      }
      expect(await shelf()).toEqual(before);
    },
  );

  it('are refused where they are too many, twice the same, or none', async () => {
    for (const materialIds of [[], [ids[0], ids[0]], Array.from({ length: 201 }, newId)])
      expect((await scene.server.as('Maren', 'POST', '/api/material-removals', { materialIds })).status).toBe(400);
    expect(
      (await scene.server.as('Maren', 'POST', '/api/material-tags', { materialIds: ids, tag: '  ', tagged: true }))
        .status,
    ).toBe(400);
  });
});

describe('the order of the shelf', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
    const items = [
      { ...words('b'), title: 'Beach' },
      { ...link('http://a.localhost:1/x.mp3'), title: 'Anemone' },
      { ...words('c'), title: 'Crab' },
    ];
    for (const item of items) await scene.server.ok('Maren', 'POST', '/api/materials', { items: [item] });
  });
  afterAll(() => scene.stop());

  it.each([
    ['newest', ['Crab', 'Anemone', 'Beach']],
    ['oldest', ['Beach', 'Anemone', 'Crab']],
    ['title', ['Anemone', 'Beach', 'Crab']],
    ['kind', ['Anemone', 'Beach', 'Crab']],
    ['state', ['Anemone', 'Beach', 'Crab']],
    ['anything', ['Crab', 'Anemone', 'Beach']],
  ])('%s', async (order, titles) => {
    const { rows, total } = await scene.server.ok<ShelfPage>('Maren', 'GET', `/api/materials?order=${order}`);
    expect(rows.map(({ material }) => material.title)).toEqual(titles);
    expect(total).toBe(3);
  });
});
