import type { LookPictureView, LookView, MaterialPage } from '@hapset/contract';
import { plainLook } from '@hapset/core';
import sharp from 'sharp';
import request from 'supertest';
import { link, Scene, words } from '../../test/scene.js';
import { smallPng } from '../../test/small-png.js';
import { pdfPages } from '../../test/pdf-pages.js';
import { unzip } from '../../test/unzip.js';
import { uploaded } from '../../test/upload.js';
import { decode, planned } from '../../test/sample-codes.js';

describe('pictures by use', () => {
  let scene: Scene;
  let lessonId: string;
  let stationIds: readonly string[];
  const address = 'https://a.example/leaf/photo-bank';
  beforeAll(async () => {
    scene = await Scene.start();
    lessonId = await scene.lesson();
    stationIds = await scene.stations(lessonId, [
      { ...link(address), title: 'Photo bank, north cove' },
      { ...words('Who carries its house?'), title: 'Riddle / 2' },
      { ...words('ä'.repeat(1300)), title: 'Far too long' },
    ]);
  });
  afterAll(() => scene.stop());

  /** Bytes, whatever their type. */
  const get = async (path: string) => {
    const call = await scene.server.file('Maren', path);
    return {
      body: call.body as Buffer,
      disposition: String(call.headers['content-disposition']),
      type: String(call.headers['content-type']),
      status: call.status,
    };
  };

  it('are named after the station and have the size that the page says', async () => {
    const [stationId = ''] = stationIds;
    const { pictures } = await scene.page(stationId);
    if (!pictures) throw new Error('no pictures');
    for (const [use, sizeMm] of [
      ['printing', pictures.printingMm],
      ['document', pictures.documentMm],
    ] as const) {
      const { body, type, disposition } = await get(`/api/stations/${stationId}/picture?use=${use}&format=png&dpi=600`);
      expect(type).toBe('image/png');
      expect(disposition).toContain('01 Photo bank, north cove.png');
      const { width = 0, density = 0 } = await sharp(body).metadata();
      const modules = planned(address).modules;
      expect((width / density) * 25.4 * (modules / (modules + 8))).toBeCloseTo(sizeMm, 0);
      expect(density).toBeGreaterThan(500);
      expect(await decode(body)).toBe(address);
    }
    expect(pictures.smallestMm).toBeLessThanOrEqual(pictures.documentMm);
    const svg = await get(`/api/stations/${stationId}/picture?use=printing&format=svg`);
    expect([svg.type, svg.body.toString().includes('<title>Photo bank, north cove</title>')]).toEqual([
      'image/svg+xml; charset=utf-8',
      true,
    ]);
    const board = await sharp((await get(`/api/stations/${stationId}/picture?use=board`)).body).metadata();
    expect(board.width).toBeGreaterThan(2160);
  });

  it('are a document’s where nothing else is asked for, and nothing where there is none such', async () => {
    const { material } = await scene.page(stationIds[0] ?? '');
    expect((await get(`/api/materials/${material.id}/picture`)).disposition).toContain('"Photo bank, north cove.png"');
    for (const query of ['use=cup', 'format=gif', 'dpi=1000000', 'format[]=png'])
      expect([query, (await get(`/api/materials/${material.id}/picture?${query}`)).status]).toEqual([
        query,
        query.includes('[]') ? 200 : 400,
      ]);
    const { material: long } = await scene.page(stationIds[2] ?? '');
    expect((await get(`/api/materials/${long.id}/picture`)).status).toBe(422);
  });

  it('of a lesson come as a ZIP file under names that sort, and what has none is named in it', async () => {
    const look = await scene.server.ok<LookView>('Maren', 'POST', '/api/looks', {
      name: 'Shore',
      design: { ...plainLook, ink: '#1d6f5b', modules: 'pebbles', finders: 'ring' },
    });
    await scene.server.ok('Maren', 'PUT', `/api/lessons/${lessonId}/look`, { look: look.id });
    const { body, type, disposition } = await get(`/api/lessons/${lessonId}/pictures`);
    expect([type, disposition.includes('Life between the tides, codes.zip')]).toEqual(['application/zip', true]);
    const files = await unzip(body);
    expect([...files.keys()]).toEqual(['01 Photo bank, north cove.png', '02 Riddle 2.png', '00 Left out.txt']);
    expect(await decode(files.get('01 Photo bank, north cove.png') ?? Buffer.of())).toBe(address);
    expect(await decode(files.get('02 Riddle 2.png') ?? Buffer.of())).toBe('Who carries its house?');
    expect(String(files.get('00 Left out.txt'))).toContain('Far too long');
  });

  describe('for web pages', () => {
    const anyone = (path: string, headers: Record<string, string> = {}) =>
      request(scene.server.app.getHttpServer()).get(path).set(headers).buffer(true);
    const page = async (): Promise<MaterialPage> => scene.page(stationIds[0] ?? '');
    const show = async (shown: boolean) =>
      scene.server.ok('Maren', 'PUT', `/api/materials/${(await page()).material.id}/web-picture`, { shown });

    it('are shown at an address that nobody guesses, to every origin, and as the code is now', async () => {
      expect((await page()).pictures?.webAddress).toBeNull();
      await show(true);
      const { pathname } = new URL((await page()).pictures?.webAddress ?? '');
      expect(pathname).toMatch(/^\/c\/[a-z2-9]{16}\.png$/);
      const first = await anyone(pathname, { Origin: 'https://elsewhere.example' });
      expect(first.headers).toMatchObject({
        'content-type': 'image/png',
        'access-control-allow-origin': '*',
        'cross-origin-resource-policy': 'cross-origin',
        'cache-control': 'no-cache',
      });
      expect(first.headers['set-cookie']).toBeUndefined();
      expect(await decode(first.body as Buffer)).toBe(address);
      const { webWidthPx } = (await page()).pictures ?? { webWidthPx: 0 };
      expect((await sharp(first.body as Buffer).metadata()).width).toBe(webWidthPx * 2);
      expect((await anyone(pathname, { 'If-None-Match': String(first.headers.etag) })).status).toBe(304);
      expect((await anyone(pathname.replace('.png', '.svg'))).headers['content-type']).toContain('image/svg+xml');
      const { material } = await page();
      await scene.server.ok('Maren', 'PATCH', `/api/materials/${material.id}`, {
        version: material.version,
        link: 'https://a.example/leaf/moved',
      });
      const moved = await anyone(pathname, { 'If-None-Match': String(first.headers.etag) });
      expect([moved.status, await decode(moved.body as Buffer)]).toEqual([200, 'https://a.example/leaf/moved']);
    });

    it('can be switched off, and have the same address when they are switched on again', async () => {
      await show(true);
      const before = (await page()).pictures?.webAddress ?? '';
      await show(false);
      expect((await page()).pictures?.webAddress).toBeNull();
      expect((await anyone(new URL(before).pathname)).status).toBe(404);
      await show(true);
      expect((await page()).pictures?.webAddress).toBe(before);
    });

    it('allow other origins nothing else', async () => {
      for (const path of ['/api/health', '/c/nothing.png', '/c/x.gif', `/api/stations/${stationIds[0] ?? ''}`])
        expect([
          path,
          (await anyone(path, { Origin: 'https://elsewhere.example' })).headers['access-control-allow-origin'],
        ]).toEqual([path, undefined]);
    });

    it('go with what they are of', async () => {
      await show(true);
      const { pathname } = new URL((await page()).pictures?.webAddress ?? '');
      const { material } = await page();
      await scene.server.ok('Maren', 'DELETE', `/api/stations/${stationIds[0] ?? ''}`);
      await scene.server.ok('Maren', 'DELETE', `/api/materials/${material.id}`);
      expect((await anyone(pathname)).status).toBe(404);
    });
  });

  it('of a look with a picture of the school’s own show it on the poster too', async () => {
    const { id, aspect } = await scene.server.ok<LookPictureView>('Maren', 'POST', '/api/look-pictures', {
      uploadId: await uploaded(scene, await smallPng(90, 60)),
    });
    const look = await scene.server.ok<LookView>('Maren', 'POST', '/api/looks', {
      name: 'Crest',
      design: {
        ...plainLook,
        centre: { kind: 'picture', pictureId: id, aspect, side: null },
        frame: 'band',
        caption: { words: null, place: 'below' },
      },
    });
    const otherLesson = await scene.lesson();
    const [stationId = ''] = await scene.stations(otherLesson, [
      { ...words('A riddle of some length, so that there is room in the middle'), title: 'Riddle' },
    ]);
    await scene.server.ok('Maren', 'PUT', `/api/lessons/${otherLesson}/look`, { look: look.id });
    const sheet = await scene.server.ok<{ id: string }>('Maren', 'POST', `/api/stations/${stationId}/sheets`, {
      kind: 'poster',
      paper: 'A4',
      goAhead: ['too-small'],
    });
    const { body } = await get(`/api/sheets/${sheet.id}/file`);
    const [page = Buffer.of()] = pdfPages(body, 200);
    expect(await decode(page)).toBe('A riddle of some length, so that there is room in the middle');
    const { data } = await sharp(page).removeAlpha().raw().toBuffer({ resolveWithObject: true });
    let green = 0;
    for (let at = 0; at < data.length; at += 3)
      if (data[at] === 0x1d && data[at + 1] === 0x6f && data[at + 2] === 0x5b) green += 1;
    expect(green).toBeGreaterThan(1000);
  });
});
