import type { BenchView, FileView, MaterialPage, SchoolView } from '@hapset/contract';
import type { Kept } from '@hapset/core';
import { StoredContent } from '../../gather/file/stored-content.entity.js';
import { madeMedia } from '../../test/made-media.js';
import { Scene } from '../../test/scene.js';
import { openPage, SmallWeb } from '../../test/small-web.js';
import { smallPng } from '../../test/small-png.js';
import { until } from '../../test/until.js';
import { uploaded } from '../../test/upload.js';

describe('what the school keeps itself', () => {
  let scene: Scene;
  let web: SmallWeb;
  beforeAll(async () => {
    web = await SmallWeb.start();
    scene = await Scene.start({ trustedHosts: [web.host] });
    await setAddress('https://hapset.school.example');
  });
  afterAll(async () => {
    await scene.stop();
    await web.stop();
  });

  const setAddress = async (publicAddress: string): Promise<void> => {
    const school = await scene.server.ok<SchoolView>('Pell', 'GET', '/api/school');
    await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, publicAddress, shortLinkHost: null });
  };
  const add = async (content: Buffer | string, name: string): Promise<FileView> =>
    scene.server.ok('Maren', 'POST', '/api/files', { uploadId: await uploaded(scene, content), name });
  const fileOf = async (content: Buffer | string, name: string): Promise<Kept> => ({
    kind: 'file',
    fileId: (await add(content, name)).id,
    transcript: '',
    captionsId: null,
  });
  const page = (text: string, href?: string): Kept => ({
    kind: 'written-page',
    document: {
      type: 'doc',
      content:
        text === ''
          ? []
          : [
              {
                type: 'paragraph',
                content: [
                  {
                    type: 'text',
                    text,
                    ...(href !== undefined && { marks: [{ type: 'link' as const, attrs: { href } }] }),
                  },
                ],
              },
            ],
    },
  });
  const opensOf = async (kept: Kept, classId: string | null = null): Promise<MaterialPage> => {
    const lessonId = await scene.lesson('Maren', { classId });
    const [stationId = ''] = await scene.stations(lessonId, [{ kept, pasted: 'x', repairs: [], title: 'Limpets' }]);
    await scene.opened(lessonId);
    return scene.page(stationId);
  };
  const again = (materialId: string): Promise<MaterialPage> =>
    until(
      () => scene.server.ok<MaterialPage>('Maren', 'GET', `/api/materials/${materialId}`),
      ({ readiness }) => !readiness.opens.opening,
    );

  it.each<[string, () => Buffer | string | Promise<Buffer>, string]>([
    ['a PDF', () => madeMedia.pdf(), 'guide.pdf'],
    ['a picture', () => smallPng(), 'cove.png'],
    ['a film that devices play', () => madeMedia.mp4(), 'limpet.mp4'],
    ['a sound', () => madeMedia.wav(), 'waves.wav'],
    ['a sound without a picture in MP4', () => madeMedia.m4a(), 'waves.m4a'],
  ])('is open: %s', async (_, content, name) => {
    const { readiness, check } = await opensOf(await fileOf(await content(), name));
    expect(readiness.opens).toMatchObject({ state: 'done', verdict: 'open', reason: 'kept-here', unplayed: null });
    expect(check?.hops).toEqual([]);
  });

  it('is open as a page with words, and shows the picture on it', async () => {
    expect((await opensOf(page('Low tide at nine'))).readiness.opens).toMatchObject({ state: 'done', verdict: 'open' });
    const { check } = await opensOf(await fileOf(await smallPng(), 'cove.png'));
    expect(check?.hasPicture).toBe(true);
  });

  it.each<[string, () => Buffer | string | Promise<Buffer>, string, object]>([
    [
      'a film of 28 bytes',
      () => madeMedia.cutFilm(),
      'limpet.mp4',
      { state: 'stop', verdict: 'empty', reason: 'file-damaged' },
    ],
    ['half of a PDF', () => '%PDF-1.7\n', 'guide.pdf', { state: 'stop', verdict: 'empty', reason: 'file-damaged' }],
    [
      'a PDF behind a password',
      () => madeMedia.pdf('limpet'),
      'a.pdf',
      { state: 'look-at', verdict: 'obstructed', reason: 'file-password' },
    ],
    [
      'an archive',
      () => Buffer.from('PK\u0003\u0004 nothing', 'latin1'),
      'a.zip',
      { state: 'look-at', verdict: 'obstructed', reason: 'download-only' },
    ],
  ])('is not open: %s', async (_, content, name, opens) => {
    expect((await opensOf(await fileOf(await content(), name))).readiness.opens).toMatchObject(opens);
  });

  it('is not open as an empty page, and is once something is written on it', async () => {
    const { readiness, material } = await opensOf(page(''));
    expect(readiness.opens).toMatchObject({ state: 'stop', verdict: 'empty', reason: 'page-empty', steps: 0 });
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${material.id}`, {
      version: material.version,
      kept: page('Words'),
    });
    expect((await again(material.id)).readiness.opens).toMatchObject({ state: 'done', verdict: 'open' });
  });

  it('names what in a page does not open, by the words of its link', async () => {
    web.html('/locked', '<title>Sign in</title>', 401);
    const { readiness, check } = await opensOf(page('The field guide', web.address('/locked')));
    expect(readiness.opens).toMatchObject({ state: 'look-at', verdict: 'partial' });
    expect(check?.inside?.locked).toMatchObject([{ name: 'The field guide', verdict: 'sign-in' }]);
  });

  it('is looked at again when it changes while it is being looked at', async () => {
    let finish = (): void => undefined;
    web.pages.set('/slow', (_request, response) => {
      finish = () => void response.writeHead(200, { 'Content-Type': 'text/html' }).end(openPage);
    });
    const { materialIds } = await scene.server.ok<{ materialIds: string[] }>('Maren', 'POST', '/api/materials', {
      items: [{ kept: page('The guide', web.address('/slow')), pasted: 'x', repairs: [] }],
    });
    const [id = ''] = materialIds;
    await until(
      () => Promise.resolve(web.requests.some(({ url }) => url === '/slow')),
      (asked) => asked,
    );
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${id}`, { version: 1, kept: page('') });
    finish();
    expect((await again(id)).readiness.opens).toMatchObject({ state: 'stop', verdict: 'empty' });
  });

  it.each([
    ['MOV', () => madeMedia.mov(), 'limpet.mov', 'mov'],
    ['WebM', () => madeMedia.webm(), 'limpet.webm', 'webm'],
  ] as const)('asks the devices of the class whether they play %s', async (_, content, name, format) => {
    const kept = await fileOf(await content(), name);
    expect((await opensOf(kept, scene.classId)).readiness.opens).toMatchObject({
      state: 'stop',
      verdict: 'open',
      unplayed: { formats: [format], by: ['Tablets'] },
    });
    const laptops = scene.deviceIds[1] ?? '';
    const before = await scene.server.ok<{ id: string; plays: string[] }[]>('Pell', 'GET', '/api/devices');
    const plays = before.find(({ id }) => id === laptops)?.plays ?? [];
    await scene.server.ok('Pell', 'PATCH', `/api/devices/${laptops}`, { plays: [...plays, format] });
    // Without a class, all of the school's devices count: one kind of two plays it now.
    expect((await opensOf(kept)).readiness.opens).toMatchObject({ state: 'look-at', unplayed: { by: ['Tablets'] } });
    await scene.server.ok('Pell', 'PATCH', `/api/devices/${laptops}`, { plays });
  });

  it('is looked at again when the file is replaced, and takes its name', async () => {
    const broken = await add(madeMedia.cutFilm(), 'limpet_film.mp4');
    const lessonId = await scene.lesson();
    const kept: Kept = { kind: 'file', fileId: broken.id, transcript: '', captionsId: null };
    const [stationId = ''] = await scene.stations(lessonId, [{ kept, pasted: 'x', repairs: [], title: 'Limpet film' }]);
    await scene.opened(lessonId);
    const uploadId = await uploaded(scene, await madeMedia.pdf());
    const replaced = await scene.server.ok<FileView>('Maren', 'POST', `/api/files/${broken.id}/content`, {
      uploadId,
      name: 'limpet-facts.pdf',
    });
    expect(replaced).toMatchObject({ name: 'limpet-facts.pdf', media: 'pdf', address: broken.address });
    await scene.opened(lessonId);
    const { material, readiness } = await scene.page(stationId);
    expect(material.title).toBe('Limpet facts');
    expect(readiness.opens).toMatchObject({ state: 'done', verdict: 'open' });
  });

  it('keeps a title that a person wrote when its file is replaced', async () => {
    const file = await add(await madeMedia.pdf(), 'facts.pdf');
    const kept: Kept = { kind: 'file', fileId: file.id, transcript: '', captionsId: null };
    const { material } = await opensOf(kept);
    const uploadId = await uploaded(scene, await madeMedia.pdf());
    await scene.server.ok('Maren', 'POST', `/api/files/${file.id}/content`, { uploadId, name: 'other.pdf' });
    expect((await again(material.id)).material.title).toBe('Limpets');
  });

  it('is looked into later where that was not done when it came', async () => {
    const kept = await fileOf(madeMedia.cutFilm(), 'old.mp4');
    const contents = scene.server.dataSource.getRepository(StoredContent);
    await contents.update({ media: 'film' }, { findings: null });
    expect((await opensOf(kept)).readiness.opens).toMatchObject({ verdict: 'empty', reason: 'file-damaged' });
    expect(await contents.existsBy({ media: 'film' })).toBe(true);
    expect(JSON.stringify((await contents.findBy({ media: 'film' })).map(({ findings }) => findings))).toContain(
      'damaged',
    );
  });

  describe('is not ready whatever it holds', () => {
    const stationOf = (bench: BenchView): unknown => bench.rows[0]?.readiness.opens;

    it('while it is not shown when the lesson begins', async () => {
      const lessonId = await scene.lesson('Maren', { date: '2027-06-10' });
      const [stationId = ''] = await scene.stations(lessonId, [{ kept: page('Words'), pasted: 'x', repairs: [] }]);
      await scene.opened(lessonId);
      const { material } = await scene.page(stationId);
      const until = (version: number, shownUntil: string | null): Promise<unknown> =>
        scene.server.ok('Maren', 'PATCH', `/api/materials/${material.id}`, { version, shownUntil });
      await until(1, '2027-06-09');
      expect(stationOf(await scene.bench(lessonId))).toMatchObject({ state: 'stop', obstacle: 'shown-until' });
      await until(2, '2027-06-10');
      expect(stationOf(await scene.bench(lessonId))).toMatchObject({ state: 'done', obstacle: null });
    });

    it('while no phone reaches the public address', async () => {
      const lessonId = await scene.lesson();
      await scene.stations(lessonId, [{ kept: page('Words'), pasted: 'x', repairs: [] }]);
      await scene.opened(lessonId);
      await setAddress('http://127.0.0.1:4300');
      const bench = await scene.bench(lessonId);
      expect(stationOf(bench)).toMatchObject({ state: 'stop', obstacle: 'address' });
      expect(bench.summary.troubles).toMatchObject({ locked: 0, 'not-opening': 1 });
      await setAddress('https://hapset.school.example');
      expect(stationOf(await scene.bench(lessonId))).toMatchObject({ state: 'done', obstacle: null });
    });
  });
});
