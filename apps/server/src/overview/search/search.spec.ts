import type { CreatedView, SearchResults } from '@hapset/contract';
import { lesson } from '../../test/route-bodies.js';
import { Scene, words } from '../../test/scene.js';
import { best } from './search.service.js';

const found = (find: string, ...names: readonly string[]): readonly string[] => best(names, find, (name) => name);

describe('finding by name', () => {
  it('takes every word, its beginning, and one letter wrong', () => {
    expect(found('tide', 'Tide tables', 'Shells')).toEqual(['Tide tables']);
    expect(found('tabl ti', 'Tide tables', 'Tide')).toEqual(['Tide tables']);
    expect(found('tied', 'Tide tables')).toEqual([]);
    expect(found('tidde', 'Tide tables')).toEqual(['Tide tables']);
    expect(found('oystrcatcher', 'Oystercatcher')).toEqual(['Oystercatcher']);
    expect(found('oxstrcatcher', 'Oystercatcher')).toEqual([]);
  });

  it('takes short words as they are, and case and accents for nothing', () => {
    expect(found('cat', 'Car', 'Cat')).toEqual(['Cat']);
    expect(found('ECOLE', 'École du bord de mer')).toEqual(['École du bord de mer']);
    expect(found('生き物', '潮間帯の生き物')).toEqual(['潮間帯の生き物']);
    expect(found('', 'Cat')).toEqual([]);
  });

  it('shows no more than a few', () =>
    expect(found('cat', ...Array.from({ length: 20 }, (_, index) => `Cat ${index}`))).toHaveLength(8));
});

describe('the search', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
    const { id } = await scene.server.ok<CreatedView>('Maren', 'POST', '/api/lessons', {
      ...lesson,
      name: 'Tide pools',
    });
    const items = [{ ...words('x'), title: 'Tide tables' }];
    await scene.server.ok('Maren', 'POST', `/api/lessons/${id}/stations`, { items, materialIds: [] });
    await scene.server.ok('Pell', 'POST', '/api/materials', { items: [{ ...words('x'), title: 'Tide of Pell' }] });
  });
  afterAll(() => scene.stop());
  const search = (find: string, who = 'Maren') =>
    scene.server.ok<SearchResults>(who, 'GET', `/api/search?find=${encodeURIComponent(find)}`);

  it('finds lessons, stations and materials of one’s own', async () => {
    const results = await search('tide');
    expect(results.lessons.map(({ name }) => name)).toEqual(['Tide pools']);
    expect(results.stations).toMatchObject([{ name: 'Tide tables', lessonName: 'Tide pools' }]);
    expect(results.materials).toMatchObject([{ title: 'Tide tables', kind: 'message' }]);
    expect((await search('tide', 'Pell')).materials).toMatchObject([{ title: 'Tide of Pell' }]);
  });

  it('finds nothing for nothing, and reads no more than a name can have', async () => {
    const nothing = { lessons: [], stations: [], materials: [] };
    expect(await search('  ')).toEqual(nothing);
    expect(await search('x'.repeat(5000))).toEqual(nothing);
  });

  it('shows no station of a lesson that was removed', async () => {
    const [found] = (await search('pools')).lessons;
    await scene.server.ok('Maren', 'DELETE', `/api/lessons/${found?.id}`);
    expect(await search('tide')).toMatchObject({ lessons: [], stations: [], materials: [{ title: 'Tide tables' }] });
  });
});
