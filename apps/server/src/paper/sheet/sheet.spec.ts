import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { SheetsPreview, SheetView } from '@hapset/contract';
import { plainChoices } from '@hapset/core';
import jsQR from 'jsqr';
import { PNG } from 'pngjs';
import { makePrint, noPlaces } from '../../test/prints.js';
import { link, Scene, words } from '../../test/scene.js';
import { openPage, SmallWeb } from '../../test/small-web.js';
import { measureText, missingCharacters } from '../../code/typeface/shaped-line.js';

function decode(png: Buffer): string | undefined {
  const { data, width, height } = PNG.sync.read(png);
  return jsQR(new Uint8ClampedArray(data), width, height)?.data;
}

describe('making sheets', () => {
  const folder = mkdtempSync(join(tmpdir(), 'sheets-'));
  let web: SmallWeb;
  let scene: Scene;
  beforeAll(async () => {
    web = await SmallWeb.start();
    web.html('/open', openPage);
    web.html('/locked', '<title>Sign in</title>', 401);
    scene = await Scene.start({ trustedHosts: [web.host] });
  });
  afterAll(async () => {
    await scene.stop();
    await web.stop();
  });

  const station = async (path: string): Promise<{ lessonId: string; stationId: string }> => {
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [link(web.address(path))]);
    await scene.opened(lessonId);
    return { lessonId, stationId };
  };
  const make = async (stationId: string, goAhead: readonly string[] = [], paper = 'A4') =>
    scene.server.as('Maren', 'POST', `/api/stations/${stationId}/sheets`, { kind: 'poster', paper, goAhead });
  const file = async (path: string): Promise<{ body: Buffer; disposition: string; type: string }> => {
    const call = await scene.server.as('Maren', 'GET', path);
    return {
      body: call.body as Buffer,
      disposition: String(call.headers['content-disposition']),
      type: String(call.headers['content-type']),
    };
  };
  const pdf = (body: Buffer, name: string): string => {
    const path = join(folder, name);
    writeFileSync(path, body);
    return path;
  };

  it.each(['A4', 'Letter'] as const)(
    'gives a sound PDF on %s whose code reads back and whose text can be copied',
    async (paper) => {
      const { stationId } = await station('/open');
      await scene.rehearsed(stationId, 3);
      const sheet = (await make(stationId, [], paper)).body as SheetView;
      expect(sheet).toMatchObject({ paper, fileName: '01 Field guide to limpets, poster.pdf' });
      const { body, disposition, type } = await file(`/api/sheets/${sheet.id}/file`);
      expect(type).toBe('application/pdf');
      expect(disposition).toBe('inline; filename="01 Field guide to limpets, poster.pdf"');
      const path = pdf(body, `${paper}.pdf`);
      execFileSync('qpdf', ['--check', path]);
      const text = execFileSync('pdftotext', [path, '-'], { encoding: 'utf8' }).replace(/\s+/gu, ' ');
      for (const part of [
        'Field guide to limpets',
        'Point your camera here.',
        'Then tap the address that appears.',
        web.address('/open').replace('http://', ''),
        'Our school',
        'Life between the tides · 6 Kestrel',
        'Biology room',
      ])
        expect(text).toContain(part);
      execFileSync('pdftoppm', ['-r', '60', '-png', '-singlefile', path, path.replace('.pdf', '')]);
      expect(decode(readFileSync(path.replace('.pdf', '.png')))).toBe(web.address('/open'));
    },
  );

  it('names what is not right, and goes on only on purpose', async () => {
    const { stationId } = await station('/locked');
    await scene.rehearsed(stationId, 0.5);
    const refused = await make(stationId);
    expect(refused.status).toBe(409);
    expect(refused.body).toMatchObject({ reason: 'sheet-needs-go-ahead', warnings: ['locked', 'does-not-read'] });
    expect((await make(stationId, ['locked'])).body).toMatchObject({ warnings: ['does-not-read'] });
    expect((await make(stationId, ['locked', 'does-not-read'])).status).toBe(201);
  });

  it('warns of characters that would print as boxes, and of text that would be cut', async () => {
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [
      { ...words('tide'), title: `\u{10380} ${'tide '.repeat(38)}`.trim() },
    ]);
    expect((await make(stationId)).body).toMatchObject({ warnings: ['missing-characters'] });
    const small = { ...plainChoices('label', 'A4').labels, widthMm: 30, heightMm: 16 };
    const { notices } = await scene.server.ok<SheetsPreview>('Maren', 'POST', '/api/sheet-previews', {
      places: { lessonId, stationIds: [], materialIds: [], tag: null },
      choices: { ...plainChoices('label', 'A4'), labels: small },
      page: 0,
    });
    expect(notices.map(({ warning }) => warning)).toContain('text-cut');
    expect(missingCharacters('Tide 潮 ä \u{10380}', 'heading')).toEqual(['\u{10380}']);
    expect(measureText('mm', 'text', 20)).toBeGreaterThan(measureText('ii', 'text', 20));
  });

  it('becomes printed before the change when the code changes, and is done again when it changes back', async () => {
    const { stationId, lessonId } = await station('/open');
    await make(stationId);
    const paper = async () => (await scene.bench(lessonId)).rows[0]?.readiness.paper;
    expect(await paper()).toMatchObject({ state: 'done', changed: [] });
    const { material } = await scene.page(stationId);
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${material.id}`, {
      version: material.version,
      link: web.address('/open?2'),
    });
    expect(await paper()).toMatchObject({ state: 'look-at', changed: ['payload'] });
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${material.id}`, {
      version: material.version + 1,
      link: web.address('/open'),
    });
    expect(await paper()).toMatchObject({ state: 'done' });
    const { id, className, look, ...lesson } = (await scene.bench(lessonId)).lesson;
    expect([id, className, look]).toEqual([lessonId, '6 Kestrel', null]);
    await scene.server.ok('Maren', 'PATCH', `/api/lessons/${lessonId}`, { ...lesson, viewingDistanceM: 0.6 });
    expect(await paper()).toMatchObject({ state: 'look-at', changed: ['size'] });
  });

  it('becomes printed before the change when any text on it changes, naming which, and not when others do', async () => {
    const lessonId = await scene.lesson();
    const [first = '', second = ''] = await scene.stations(lessonId, [words('Who am I?'), words('What am I?')]);
    const places = { ...noPlaces, lessonId };
    const goAhead = ['not-opened-yet', 'does-not-read', 'too-small'] as const;
    const print = async (): Promise<void> => {
      for (const kind of ['poster', 'handout'] as const)
        expect((await makePrint(scene, { kind }, places, goAhead)).status).toBe(201);
    };
    const changed = async (): Promise<readonly string[]> => (await scene.page(first)).readiness.paper.changed;
    await print();
    expect(await changed()).toEqual([]);
    // The handout was made last: it shows numbers, and neither class nor place.
    await scene.server.ok('Maren', 'PUT', `/api/lessons/${lessonId}/station-order`, { stationIds: [second, first] });
    expect(await changed()).toEqual(['number']);
    await print();
    await scene.server.ok('Maren', 'PATCH', `/api/stations/${first}`, {
      version: 1,
      name: 'Riddle',
      instruction: 'Guess.',
    });
    expect((await scene.page(first)).readiness.paper).toMatchObject({
      state: 'look-at',
      changed: ['title', 'instruction'],
    });
    await print();
    const { lesson } = await scene.bench(lessonId);
    const { name, classId, date, startsAt, viewingDistanceM, version } = lesson;
    await scene.server.ok('Maren', 'PATCH', `/api/lessons/${lessonId}`, {
      name,
      classId,
      date,
      startsAt,
      viewingDistanceM,
      version,
      place: 'Shore',
    });
    expect(await changed()).toEqual([]);
    expect((await makePrint(scene, { kind: 'poster' }, places, goAhead)).status).toBe(201);
    await scene.server.ok('Maren', 'PATCH', `/api/lessons/${lessonId}`, {
      name: 'Tides',
      classId,
      date,
      startsAt,
      viewingDistanceM,
      version: version + 1,
      place: 'Cliff',
    });
    expect(await changed()).toEqual(['class', 'place']);
  });

  it('names everything that is not green, also what is uncertain, each by its own name', async () => {
    web.html('/drawn', '<title>App</title><script src="app.js"></script>');
    web.html('/gone', '<title>Gone</title>', 410);
    const warningsOf = async (path: string): Promise<unknown> =>
      ((await make((await station(path)).stationId)).body as { warnings: string[] }).warnings;
    expect(await warningsOf('/drawn')).toContain('to-check');
    expect(await warningsOf('/gone')).toContain('not-opening');
    expect(await warningsOf('/gone')).not.toContain('locked');
    expect(await warningsOf('/locked')).toContain('locked');
  });

  it('makes one for a material that hangs nowhere', async () => {
    const { stationId } = await station('/open');
    const { material } = await scene.page(stationId);
    const sheet = (
      await scene.server.as('Maren', 'POST', `/api/materials/${material.id}/sheets`, {
        kind: 'poster',
        paper: 'A4',
        goAhead: [],
      })
    ).body as SheetView;
    expect(sheet.fileName).toBe('Field guide to limpets, poster.pdf');
    expect((await scene.page(stationId)).readiness.paper.state).toBe('not-yet');
  });
});
