import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { LookPictureView, LookView, MaterialPage } from '@hapset/contract';
import {
  drawCode,
  finderShapes,
  frameForms,
  gradientWays,
  judgeLook,
  moduleShapes,
  plainLook,
  planSymbol,
  type LookDesign,
  type SymbolPlan,
} from '@hapset/core';
import { iconOf } from '@hapset/core/icons';
import jsQR from 'jsqr';
import sharp from 'sharp';
import request from 'supertest';
import { measureText } from '../../code/typeface/shaped-line.js';
import { link, Scene, words } from '../../test/scene.js';
import { smallPng } from '../../test/small-png.js';
import { unzip } from '../../test/unzip.js';
import { uploaded } from '../../test/upload.js';
import { codePicture, type CodeToDraw } from './code-picture.js';
import { pngOfBits } from './png-bits.js';

/** What the independent reader finds in a picture, on white paper. */
async function decode(picture: Buffer): Promise<string | null> {
  const { data, info } = await sharp(picture, { limitInputPixels: false })
    .flatten({ background: '#ffffff' })
    .resize({ width: 700, withoutEnlargement: true })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return jsQR(new Uint8ClampedArray(data), info.width, info.height)?.data ?? null;
}

const folder = mkdtempSync(join(tmpdir(), 'pictures-'));

async function decodePdf(pdf: Buffer, name: string): Promise<string | null> {
  const path = join(folder, `${name}.pdf`);
  writeFileSync(path, pdf);
  execFileSync('qpdf', ['--check', path]);
  execFileSync('pdftoppm', ['-r', '200', '-png', '-singlefile', path, path.replace('.pdf', '')]);
  return decode(readFileSync(path.replace('.pdf', '.png')));
}

function planned(payload: string): SymbolPlan {
  const plan = planSymbol(payload);
  if (!plan.ok) throw new Error(plan.problem.reason);
  return plan.value;
}

function toDraw(plan: SymbolPlan, look: LookDesign, pictures = new Map<string, Buffer>()): CodeToDraw {
  return {
    plan,
    look,
    drawing: drawCode(plan, { look, name: 'Field guide', iconOf, measure: measureText }),
    name: 'Field guide',
    pictures,
    madeAt: new Date('2026-11-25T09:00:00Z'),
  };
}

/** One look of each combination that matters, with colours, words and frames going round. */
const looks: readonly LookDesign[] = moduleShapes.flatMap((modules, row) =>
  finderShapes.map((finders, column): LookDesign => {
    const at = row * finderShapes.length + column;
    return {
      modules,
      finders,
      ink: ['#000000', '#1d6f5b', '#7a1f3d', '#123a6b'][at % 4] ?? '#000000',
      inkTo: at % 3 === 0 ? '#5a2d00' : null,
      way: gradientWays[at % gradientWays.length] ?? 'down',
      ground: at % 5 === 4 ? '#fff6d3' : '#ffffff',
      centre: at % 2 === 0 ? { kind: 'icon', icon: ['shell', 'fish', 'sail'][at % 3] ?? 'shell', side: null } : null,
      caption:
        at % 4 === 3
          ? null
          : { words: at % 4 === 0 ? null : 'Point your camera here', place: at % 2 === 0 ? 'below' : 'above' },
      frame: [null, ...frameForms][at % 5] ?? null,
    };
  }),
);

describe('a picture of a code', () => {
  const payload = 'https://cofferlane.example/leaf/field-guide-to-limpets';
  const plan = planned(payload);

  it.each(looks.map((look, index) => [index, `${look.modules}, ${look.finders}`, look] as const))(
    'look %i (%s) is called readable, and decodes in every format',
    async (index, _, look) => {
      expect(judgeLook(plan, look).state).toBe('done');
      const code = toDraw(plan, look);
      const size = { sizeMm: 60, pixelsPerModule: 8 };
      for (const format of ['svg', 'png', 'jpeg'] as const)
        expect([format, await decode(await codePicture(code, format, size))]).toEqual([format, payload]);
      expect(await decodePdf(await codePicture(code, 'pdf', size), `look-${index}`)).toBe(payload);
    },
  );

  it('shows the same in every format, to the pixel but for edges', async () => {
    const code = toDraw(plan, {
      ...plainLook,
      ink: '#1d6f5b',
      inkTo: '#123a6b',
      modules: 'worn',
      finders: 'ring',
      frame: 'tide',
      caption: { words: 'Look here', place: 'below' },
    });
    const size = { sizeMm: 60, pixelsPerModule: 8 };
    const path = join(folder, 'same.pdf');
    writeFileSync(path, await codePicture(code, 'pdf', size));
    const png = await codePicture(code, 'png', size);
    const { width = 0, height = 0 } = await sharp(png).metadata();
    execFileSync('pdftoppm', [
      '-scale-to-x',
      String(width),
      '-scale-to-y',
      String(height),
      '-png',
      '-singlefile',
      path,
      path.replace('.pdf', ''),
    ]);
    const raw = (bytes: Buffer): Promise<Buffer> => sharp(bytes).removeAlpha().resize(width, height).raw().toBuffer();
    const [one, ...others] = await Promise.all([
      raw(png),
      raw(readFileSync(path.replace('.pdf', '.png'))),
      raw(await codePicture(code, 'jpeg', size)),
    ]);
    for (const other of others) {
      const far =
        one.reduce((count, level, at) => count + (Math.abs(level - (other[at] ?? 0)) > 96 ? 1 : 0), 0) / one.length;
      expect(far).toBeLessThan(0.01);
    }
  });

  it('with a picture in the middle shows it', async () => {
    const pictureId = '01990000-0000-7000-8000-000000000001';
    const look: LookDesign = { ...plainLook, centre: { kind: 'picture', pictureId, aspect: 1, side: null } };
    const code = toDraw(plan, look, new Map([[pictureId, await smallPng(64, 64)]]));
    const png = await codePicture(code, 'png', { sizeMm: null, pixelsPerModule: 8 });
    const { data, info } = await sharp(png).removeAlpha().raw().toBuffer({ resolveWithObject: true });
    const middle = (Math.floor(info.height / 2) * info.width + Math.floor(info.width / 2)) * 3;
    expect([...data.subarray(middle, middle + 3)]).toEqual([0x1d, 0x6f, 0x5b]);
    expect(await decode(png)).toBe(payload);
    expect(await decodePdf(await codePicture(code, 'pdf', { sizeMm: 60, pixelsPerModule: 8 }), 'middle')).toBe(payload);
  });

  it('of two colours has a bit a pixel, whole pixels a module, and its density', async () => {
    const look = { ...plainLook, ink: '#1d6f5b', ground: '#fff6d3' };
    const png = await codePicture(toDraw(plan, look), 'png', { sizeMm: 50, pixelsPerModule: 18 });
    const { width, density } = await sharp(png).metadata();
    // The byte after width and height in the header is the bits of a pixel.
    expect({ width, bits: png[24] }).toEqual({ width: (plan.modules + 8) * 18, bits: 1 });
    expect(density).toBeCloseTo((plan.modules * 18) / (50 / 25.4), -1);
    const { data, info } = await sharp(png).removeAlpha().raw().toBuffer({ resolveWithObject: true });
    for (let y = 0; y < info.height; y += 1) {
      for (let x = 0; x < info.width; x += 1) {
        const [row, column] = [Math.floor(y / 18) - 4, Math.floor(x / 18) - 4];
        const dark =
          row >= 0 &&
          column >= 0 &&
          row < plan.modules &&
          column < plan.modules &&
          plan.matrix[row * plan.modules + column] === 1;
        if (data[(y * info.width + x) * 3] !== (dark ? 0x1d : 0xff))
          throw new Error(`pixel ${x}, ${y} is not what its module is`);
      }
    }
    expect(await decode(png)).toBe(payload);
  });

  it('as PNG is sound whatever its size', async () => {
    for (const text of ['9', 'x'.repeat(900)]) {
      for (const pixelsPerModule of [1, 3, 8]) {
        const png = pngOfBits(planned(text), { pixelsPerModule, ink: '#000000', ground: '#ffffff', density: null });
        expect((await sharp(png).metadata()).width).toBe((planned(text).modules + 8) * pixelsPerModule);
        if (pixelsPerModule > 1) expect(await decode(png)).toBe(text);
      }
    }
  });
});

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
    expect(await decodePdf(body, 'crest')).toBe('A riddle of some length, so that there is room in the middle');
    const { data } = await sharp(join(folder, 'crest.png')).removeAlpha().raw().toBuffer({ resolveWithObject: true });
    let green = 0;
    for (let at = 0; at < data.length; at += 3)
      if (data[at] === 0x1d && data[at + 1] === 0x6f && data[at + 2] === 0x5b) green += 1;
    expect(green).toBeGreaterThan(1000);
  });
});
