import { RedirectTable } from '../../code/short-link/redirect-table.js';
import type {
  CreatedMaterials,
  MaterialPage,
  MaterialView,
  Problem,
  SchoolView,
  ShelfPage,
  TagView,
} from '@hapset/contract';
import { limits } from '@hapset/contract';
import { link, Scene, words } from '../../test/scene.js';

describe('materials and the shelf', () => {
  let scene: Scene;
  beforeAll(async () => (scene = await Scene.start()));
  afterAll(() => scene.stop());

  const create = async (item: object, who = 'Maren'): Promise<string> =>
    (await scene.server.ok<CreatedMaterials>(who, 'POST', '/api/materials', { items: [item] })).materialIds[0] ?? '';
  const page = (id: string): Promise<MaterialPage> =>
    scene.server.ok<MaterialPage>('Maren', 'GET', `/api/materials/${id}`);
  const found = async (find: string): Promise<readonly string[]> =>
    (await scene.server.ok<ShelfPage>('Maren', 'GET', `/api/materials?find=${encodeURIComponent(find)}`)).rows.map(
      (row) => row.material.title,
    );

  it('keep what was pasted, how it was repaired, and recognise the kind', async () => {
    const repairs = [{ kind: 'scheme-doubled', removed: 'https://', added: '' }];
    const id = await create({
      link: 'http://cofferlane.localhost:1/leaf/field-guide',
      pasted: 'https://http://cofferlane.localhost:1/leaf/field-guide',
      repairs,
    });
    const { material, station, code, rehearsal } = await page(id);
    expect(material).toMatchObject({
      kind: 'document',
      at: { service: 'Cofferlane', role: 'student', studentLink: null, steps: [] },
      title: 'Field guide',
      pasted: 'https://http://cofferlane.localhost:1/leaf/field-guide',
      repairs,
    });
    expect(station).toBeNull();
    expect(code?.payload).toBe('http://cofferlane.localhost:1/leaf/field-guide');
    expect(rehearsal).toMatchObject({
      distanceM: 1.5,
      devices: [{ name: 'Tablets' }, { name: 'Laptops' }],
      results: null,
    });
  });

  it('say when no code can hold them', async () => {
    const id = await create(words('ä'.repeat(limits.wordsLength)));
    expect(await page(id)).toMatchObject({ code: null, readiness: { carries: { state: 'stop', grain: null } } });
    expect((await scene.server.as('Maren', 'GET', `/api/materials/${id}/picture`)).body).toMatchObject({
      reason: 'payload-too-long',
    });
  });

  it('are found by every word in title, link or words, signs taken as they are', async () => {
    await create({ ...link('https://a.example/whelk'), title: 'Shells: 50% off_season' });
    await create(words('The barnacle stands on its head'));
    expect(await found('barnacle head')).toEqual(['The barnacle stands on its head']);
    expect(await found('WHELK')).toEqual(['Shells: 50% off_season']);
    expect(await found('50% off_')).toEqual(['Shells: 50% off_season']);
    expect(await found('5_% off')).toEqual([]);
    expect(await found('barnacle tail')).toEqual([]);
    expect((await scene.server.ok<ShelfPage>('Tobiah', 'GET', '/api/materials?find=barnacle')).rows).toEqual([]);
  });

  it('come page by page, newest first', async () => {
    const items = Array.from({ length: limits.shelfPage + 5 }, (_, index) => words(`card ${index}`));
    await scene.server.ok('Tobiah', 'POST', '/api/materials', { items });
    const first = await scene.server.ok<ShelfPage>('Tobiah', 'GET', '/api/materials');
    const second = await scene.server.ok<ShelfPage>('Tobiah', 'GET', `/api/materials?after=${first.next ?? ''}`);
    expect([first.rows.length, second.rows.length, second.next, first.total]).toEqual([
      limits.shelfPage,
      5,
      null,
      limits.shelfPage + 5,
    ]);
    expect(first.rows[0]?.material.title).toBe(`card ${limits.shelfPage + 4}`);
    expect(second.rows.at(-1)?.material.title).toBe('card 0');
  });

  it('change under a version; a title that a person wrote stays', async () => {
    const id = await create(words('Low tide'));
    const changed = await scene.server.ok<MaterialView>('Maren', 'PATCH', `/api/materials/${id}`, {
      version: 1,
      title: ' Ebbe \u0061\u0308 ',
      instruction: 'Look closely.',
    });
    expect(changed).toMatchObject({ title: 'Ebbe \u00e4', instruction: 'Look closely.', version: 2 });
    expect(
      (await scene.server.as('Maren', 'PATCH', `/api/materials/${id}`, { version: 1, title: 'Late' })).body,
    ).toMatchObject({ reason: 'stale' });
    expect(
      (await scene.server.as('Maren', 'PATCH', `/api/materials/${id}`, { version: 2, link: 'https://a.example' })).body,
    ).toMatchObject({ reason: 'invalid', fields: [{ field: 'link' }] });
  });

  it('carry exactly the words they were given', async () => {
    const text = '  Zwei Zeilen\n«ä» 🐚  ';
    const id = await create(words(text));
    expect((await page(id)).code?.payload).toBe(text);
  });

  it('leave the shelf only when no lesson shows them, and can be restored', async () => {
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [words('hangs')]);
    const { material } = await scene.page(stationId);
    const refused = await scene.server.as('Maren', 'DELETE', `/api/materials/${material.id}`);
    expect(refused.body).toMatchObject({
      reason: 'in-use',
      usedBy: { kind: 'lesson', names: ['Life between the tides'], count: 1 },
    });
    await scene.server.ok('Maren', 'DELETE', `/api/stations/${stationId}`);
    await scene.server.ok('Maren', 'DELETE', `/api/materials/${material.id}`);
    expect(await found('hangs')).toEqual([]);
    await scene.server.ok('Maren', 'POST', `/api/materials/${material.id}/restore`);
    expect(await found('hangs')).toEqual(['hangs']);
  });
});

describe('kinds with fields', () => {
  let scene: Scene;
  beforeAll(async () => (scene = await Scene.start()));
  afterAll(() => scene.stop());

  const event = {
    kind: 'event',
    title: 'Harbour walk',
    date: '2027-06-12',
    startsAt: '09:30',
    endsAt: '11:00',
    place: 'Old pier',
    about: '',
  };
  const create = async (content: object) =>
    scene.server.as('Maren', 'POST', '/api/materials', { items: [{ content, pasted: 'Event', repairs: [] }] });
  const page = async (content: object): Promise<MaterialPage> =>
    scene.server.ok<MaterialPage>(
      'Maren',
      'GET',
      `/api/materials/${((await create(content)).body as CreatedMaterials).materialIds[0] ?? ''}`,
    );

  it('carry their payload, with a title and an instruction of their own', async () => {
    const { material, code, readiness } = await page(event);
    expect(material).toMatchObject({
      kind: 'event',
      title: 'Harbour walk',
      link: null,
      words: null,
      content: event,
      instruction: 'Point your camera here and add it to your calendar.',
    });
    expect(code?.payload).toContain('DTSTART:20270612T093000Z');
    expect(readiness.opens).toMatchObject({ state: 'done', inTheCode: true });
  });

  it('follow the school’s time zone', async () => {
    const { version, ...school } = await scene.server.ok<SchoolView>('Pell', 'GET', '/api/school');
    await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, timeZone: 'Europe/Dublin', version });
    expect((await page(event)).code?.payload).toContain('DTSTART:20270612T083000Z');
    expect((await page({ ...event, date: '2027-12-12' })).code?.payload).toContain('DTSTART:20271212T093000Z');
  });

  it('name each field that needs another value, with its reason', async () => {
    const response = await create({ ...event, date: '2027-02-30', endsAt: '08:00' });
    expect(response.status).toBe(400);
    expect(response.body).toMatchObject({
      reason: 'invalid',
      fields: [
        { field: 'items.0.content.date', message: 'no-day' },
        { field: 'items.0.content.endsAt', message: 'ends-before-it-starts' },
      ],
    });
  });

  it.each([
    ['an unknown kind', { kind: 'spell', name: 'x' }],
    ['an unknown field', { ...event, colour: 'red' }],
    ['a missing field', { kind: 'event', title: 'x' }],
    ['a field of another type', { kind: 'place', name: 'x', latitude: '53', longitude: 0 }],
    ['no object', 'event'],
  ])('refuse %s', async (_, content) => {
    const response = await scene.server.as('Maren', 'POST', '/api/materials', {
      items: [{ content, pasted: 'x', repairs: [] }],
    });
    expect([response.status, (response.body as Problem).reason]).toEqual([400, 'invalid']);
  });

  it('change within their kind only', async () => {
    const { material } = await page(event);
    const changed = await scene.server.ok<MaterialView>('Maren', 'PATCH', `/api/materials/${material.id}`, {
      version: 1,
      content: { ...event, place: 'New pier' },
    });
    expect(changed.content).toEqual({ ...event, place: 'New pier' });
    expect(
      (
        await scene.server.as('Maren', 'PATCH', `/api/materials/${material.id}`, {
          version: 2,
          content: { kind: 'phone', number: '112', name: '' },
        })
      ).body,
    ).toMatchObject({ reason: 'invalid', fields: [{ field: 'content' }] });
    expect(
      (
        await scene.server.as('Maren', 'PATCH', `/api/materials/${material.id}`, {
          version: 2,
          content: { ...event, title: '' },
        })
      ).body,
    ).toMatchObject({ fields: [{ field: 'content.title', message: 'needed' }] });
  });
});

describe('tags', () => {
  let scene: Scene;
  beforeAll(async () => (scene = await Scene.start()));
  afterAll(() => scene.stop());

  it('gather materials that can be listed and opened as one', async () => {
    const items = [
      { ...words('one'), tags: ['Recorder', ' low  notes '] },
      { ...link('https://a.example/x'), tags: ['Recorder', 'Recorder'] },
      words('three'),
    ];
    const { materialIds } = await scene.server.ok<CreatedMaterials>('Maren', 'POST', '/api/materials', { items });
    expect(await scene.server.ok<TagView[]>('Maren', 'GET', '/api/tags')).toEqual([
      { tag: 'low notes', materials: 1 },
      { tag: 'Recorder', materials: 2 },
    ]);
    const shelf = await scene.server.ok<ShelfPage>('Maren', 'GET', '/api/materials?tag=Recorder');
    expect(shelf.rows.map((row) => row.material.id).sort()).toEqual(materialIds.slice(0, 2).sort());
    expect((await scene.server.as('Maren', 'POST', '/api/tags/Recorder/access-checks')).status).toBe(201);
    expect(await scene.server.ok<TagView[]>('Tobiah', 'GET', '/api/tags')).toEqual([]);
    expect((await scene.server.ok<ShelfPage>('Tobiah', 'GET', '/api/materials?tag=Recorder')).rows).toEqual([]);
  });

  it('change with their material', async () => {
    const { materialIds } = await scene.server.ok<CreatedMaterials>('Tobiah', 'POST', '/api/materials', {
      items: [words('a "quoted" one')],
    });
    const changed = await scene.server.ok<MaterialView>('Tobiah', 'PATCH', `/api/materials/${materialIds[0] ?? ''}`, {
      version: 1,
      tags: ['say "ah"', "it's"],
    });
    expect(changed.tags).toEqual(['say "ah"', "it's"]);
    expect(
      (await scene.server.ok<ShelfPage>('Tobiah', 'GET', `/api/materials?tag=${encodeURIComponent('say "ah"')}`)).total,
    ).toBe(1);
    expect(
      (await scene.server.as('Tobiah', 'PATCH', `/api/materials/${materialIds[0] ?? ''}`, { version: 2, tags: [''] }))
        .status,
    ).toBe(400);
  });

  it('never lead to another scheme than http and https', async () => {
    const schemes = [
      'javascript:alert(1)',
      'JAVASCRIPT:alert(1)',
      'data:text/html,x',
      'file:///etc/hosts',
      'ftp://a.example/x',
      'intent://x#Intent;end',
      'vbscript:x',
      ' javascript:alert(1)',
      'blob:https://a.example/x',
      'https:',
      'a.example',
    ];
    const { materialIds } = await scene.server.ok<CreatedMaterials>('Maren', 'POST', '/api/materials', {
      items: [link('https://a.example/good')],
    });
    const path = `/api/materials/${materialIds[0] ?? ''}`;
    await scene.server.ok('Maren', 'PATCH', path, { version: 1, carry: 'short-link' });
    const lesson = await scene.lesson();
    for (const scheme of schemes) {
      for (const [method, where, body] of [
        ['POST', '/api/materials', { items: [link(scheme)] }],
        ['POST', `/api/lessons/${lesson}/stations`, { items: [link(scheme)], materialIds: [] }],
        ['PATCH', path, { version: 2, link: scheme }],
      ] as const) {
        const refused = await scene.server.as('Maren', method, where, body);
        expect([scheme, refused.status, refused.body.reason]).toEqual([scheme, 400, 'invalid']);
      }
    }
    // One that came in by an earlier version leads nowhere.
    await scene.server.dataSource.query("UPDATE materials SET link = 'javascript:alert(1)' WHERE id = ?", [
      materialIds[0],
    ]);
    await scene.server.dataSource.query('UPDATE short_links SET changed_at = NOW(3) WHERE material_id = ?', [
      materialIds[0],
    ]);
    await scene.server.app.get(RedirectTable, { strict: false }).look();
    const [row] = (await scene.server.dataSource.query('SELECT slug FROM short_links WHERE material_id = ?', [
      materialIds[0],
    ])) as { slug: string }[];
    const answer = await scene.server.as(null, 'GET', `/K/${row?.slug}`);
    expect([answer.status, answer.headers.location]).toEqual([410, undefined]);
  });
});
