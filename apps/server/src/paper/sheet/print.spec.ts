import {
  type MaterialPage,
  type PrintView,
  type SheetChoices,
  type SheetPlaces,
  type SheetsPreview,
  type SheetWarning,
} from '@hapset/contract';
import { plainChoices, gridOf, plainSheetDesign, composedKinds, type SheetKind, type SheetSetup } from '@hapset/core';
import jsQR from 'jsqr';
import { PNG } from 'pngjs';
import sharp from 'sharp';
import { Scene, words } from '../../test/scene.js';
import { fileOf, makePrint, noPlaces, type PrintChoices } from '../../test/prints.js';
import { unzip } from '../../test/unzip.js';
import { pdfInfo, pdfObjects, pdfPages, pdfText } from '../../test/pdf-pages.js';

const titles = [
  'What hides under seaweed?',
  'Ελληνικά νερά',
  'ماذا يعيش تحت الماء؟',
  'מה חי מתחת למים?',
  'पानी के नीचे',
  '潮の満ち引き',
  '바위 웅덩이',
];

const dpi = 150;

interface Crop {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** Cells of a page in pixels, as the grid lays them. */
function cellsOf(choices: SheetChoices, density: number): readonly Crop[] {
  const setup: SheetSetup = {
    ...choices,
    backs: null,
    design: plainSheetDesign(choices.kind),
    printerMarginMm: 5,
    head: { title: '', about: '' },
  };
  const grid = gridOf(setup);
  if (!grid.ok) throw new Error(grid.problem.reason);
  const { columns, rows, leftMm, topMm, pitchXMm, pitchYMm, widthMm, heightMm } = grid.value;
  const panels = choices.kind === 'table-card' ? 2 : 1;
  const px = (mm: number): number => Math.round((mm / 25.4) * density);
  return Array.from({ length: columns * rows * panels }, (_, index) => {
    const [cell, panel] = [Math.floor(index / panels), index % panels];
    return {
      left: px(leftMm + (cell % columns) * pitchXMm),
      top: px(topMm + Math.floor(cell / columns) * pitchYMm + (panel * heightMm) / panels),
      width: px(widthMm) - 1,
      height: px(heightMm / panels) - 1,
    };
  });
}

/** As many on a page as there are codes, where the number is left to Hapset. */
function asFull(kind: SheetKind): SheetChoices {
  const choices = plainChoices(kind, 'A4');
  return choices.perPage === 0 ? { ...choices, perPage: titles.length } : choices;
}

/** What each card of a page says, cropped card by card: whole pages confuse readers. */
async function readCards(png: Buffer, choices: SheetChoices): Promise<readonly string[]> {
  const read = cellsOf(choices, dpi).map(async (card) => {
    const { data, info } = await sharp(png).extract(card).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
    return jsQR(new Uint8ClampedArray(data), info.width, info.height)?.data ?? [];
  });
  return (await Promise.all(read)).flat();
}

/** Whether something is printed in each cell, away from its edges. */
async function inked(page: Buffer, cells: readonly Crop[]): Promise<readonly boolean[]> {
  return Promise.all(
    cells.map(async ({ left, top, width, height }) => {
      const pixels = await sharp(page)
        .extract({ left: left + 3, top: top + 3, width: width - 6, height: height - 6 })
        .toColourspace('b-w')
        .raw()
        .toBuffer();
      return pixels.filter((grey) => grey < 100).length > 5;
    }),
  );
}

describe('sheets of many codes', () => {
  let scene: Scene;
  let lessonId: string;
  beforeAll(async () => {
    scene = await Scene.start();
    lessonId = await scene.rehearsedLesson(
      titles.map((title, index) => ({ ...words(`Station ${index + 1}: look and write`), title })),
      3,
    );
  });
  afterAll(() => scene.stop());

  const preview = (choices: PrintChoices, page = 0, places: SheetPlaces = { ...noPlaces, lessonId }) =>
    scene.server.ok<SheetsPreview>('Maren', 'POST', '/api/sheet-previews', {
      places,
      choices: { ...plainChoices(choices.kind, 'A4'), ...choices },
      page,
    });
  const make = (
    choices: PrintChoices,
    goAhead: readonly SheetWarning[] = [],
    places: SheetPlaces = { ...noPlaces, lessonId },
  ) => makePrint(scene, choices, places, goAhead);
  const bytes = (path: string): Promise<Buffer> => fileOf(scene, path);

  it.each(composedKinds)('%s: sound files by other programs, and every code reads as what was typed', async (kind) => {
    const print = (await make({ kind }, ['too-small'])).body as PrintView;
    expect(print).toMatchObject({ kind, codes: 7, state: 'done', name: 'Life between the tides' });
    const pages = pdfPages(await bytes(`/api/prints/${print.id}/file`), dpi);
    expect(pages).toHaveLength(print.pages);
    const read = (await Promise.all(pages.map((page) => readCards(page, asFull(kind))))).flat();
    // Both panels of a tent say the same.
    const twice = kind === 'table-card' ? 2 : 1;
    expect(read).toEqual(
      titles.flatMap((_, index) => Array.from({ length: twice }, () => `Station ${index + 1}: look and write`)),
    );
  });

  it('says in its name what it is, and what it is of', async () => {
    const names = await Promise.all(
      composedKinds.map(async (kind) => ((await make({ kind }, ['too-small'])).body as PrintView).fileName),
    );
    expect(names).toEqual([
      'Life between the tides, posters.pdf',
      'Life between the tides, table cards.pdf',
      'Life between the tides, cards.pdf',
      'Life between the tides, handout.pdf',
      'Life between the tides, labels.pdf',
    ]);
  });

  it('can be searched and copied, has title, language and words for its codes', async () => {
    const print = (await make({ kind: 'handout' }, ['too-small'])).body as PrintView;
    const pdf = await bytes(`/api/prints/${print.id}/file`);
    const text = pdfText(pdf, ['-layout']).normalize('NFC').replace(/\s+/g, ' ');
    for (const part of [
      'Life between the tides',
      'What hides under seaweed?',
      'Ελληνικά νερά',
      '潮の満ち引き',
      '바위 웅덩이',
      'पानी के नीचे',
      'מה חי מתחת למים',
    ])
      expect(text).toContain(part);
    const inside = pdfObjects(pdf);
    expect(inside).toContain('/Lang (en)');
    expect(inside).toContain('/MarkInfo');
    expect(inside).toContain('/Figure');
    expect(pdfInfo(pdf)).toMatch(/Title:\s+Life between the tides[\s\S]*Tagged:\s+yes/);
  });

  it('draws preview, PDF and picture from the same pages', async () => {
    const shown = await preview({ kind: 'small-card' });
    const print = (
      await make(
        { kind: 'small-card' },
        shown.notices.map(({ warning }) => warning),
      )
    ).body as PrintView;
    const [page] = pdfPages(await bytes(`/api/prints/${print.id}/file`), dpi);
    const { width, height } = PNG.sync.read(page as Buffer);
    const asPicture = async (svg: Buffer): Promise<Buffer> =>
      sharp(svg, { density: dpi })
        .resize({ width, height, fit: 'fill' })
        .flatten({ background: '#ffffff' })
        .toColourspace('b-w')
        .raw()
        .toBuffer();
    const fromPdf = await sharp(page).toColourspace('b-w').raw().toBuffer();
    for (const svg of [Buffer.from(shown.svg), await bytes(`/api/prints/${print.id}/pages/1`)]) {
      const fromSvg = await asPicture(svg);
      let differing = 0;
      for (let index = 0; index < Math.min(fromPdf.length, fromSvg.length); index += 1)
        if (Math.abs((fromPdf[index] ?? 0) - (fromSvg[index] ?? 0)) > 128) differing += 1;
      expect(differing / fromPdf.length).toBeLessThan(0.01);
    }
  });

  it.each(['long', 'short'] as const)(
    'backs fall on their fronts when paper is turned about its %s edge',
    async (edge) => {
      const school = await scene.server.ok<object>('Pell', 'GET', '/api/school');
      await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, duplexEdge: edge });
      const print = (await make({ kind: 'small-card', perPage: 8, backs: true, fields: [] }, ['too-small']))
        .body as PrintView;
      expect(print.pages).toBe(2);
      const [front, back] = pdfPages(await bytes(`/api/prints/${print.id}/file`), 60) as [Buffer, Buffer];
      const cells = cellsOf({ ...plainChoices('small-card', 'A4'), perPage: 8 }, 60);
      // Seven of eight cells are printed; looked at through the paper, the back has its text where the front has its codes.
      const through = await (edge === 'long' ? sharp(back).flop() : sharp(back).flip()).png().toBuffer();
      const expected = [true, true, true, true, true, true, true, false];
      expect(await inked(front, cells)).toEqual(expected);
      expect(await inked(through, cells)).toEqual(expected);
      expect(await inked(back, cells)).not.toEqual(expected);
    },
  );

  it('gives the pages as pictures in a ZIP', async () => {
    const print = (await make({ kind: 'poster' })).body as PrintView;
    const zip = await bytes(`/api/prints/${print.id}/pictures?dpi=150`);
    const names = [...(await unzip(zip)).keys()];
    expect(names).toEqual(titles.map((title, index) => `0${index + 1} ${title.replace('?', '').trim()}, poster.png`));
    const cards = (await make({ kind: 'table-card' }, ['too-small'])).body as PrintView;
    expect([...(await unzip(await bytes(`/api/prints/${cards.id}/pictures`))).keys()]).toEqual(
      [1, 2, 3, 4].map((page) => `Life between the tides, table cards, page ${page}.png`),
    );
    expect((await scene.server.as('Maren', 'GET', `/api/prints/${print.id}/pages/8`)).status).toBe(404);
  });

  it('takes chosen stations, materials and collections, and nothing that is named twice or not at all', async () => {
    const { rows } = await scene.bench(lessonId);
    const stationIds = rows.slice(2, 4).map((row) => row.stationId);
    expect((await preview({ kind: 'poster' }, 0, { ...noPlaces, stationIds })).codes).toBe(2);
    const { material } = await scene.page(rows[0]?.stationId ?? '');
    expect((await preview({ kind: 'poster' }, 0, { ...noPlaces, materialIds: [material.id] })).codes).toBe(1);
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${material.id}`, {
      version: material.version,
      tags: ['tides'],
    });
    expect((await preview({ kind: 'poster' }, 0, { ...noPlaces, tag: 'tides' })).codes).toBe(1);
    for (const places of [noPlaces, { ...noPlaces, lessonId, tag: 'tides' }, { ...noPlaces, tag: 'nothing of that' }])
      expect((await make({ kind: 'poster' }, [], places)).body).toMatchObject({ reason: 'invalid' });
  });

  it('says by name what is too small, cut, or can’t be written, before anything is printed', async () => {
    const other = await scene.lesson('Maren', { viewingDistanceM: 6 });
    await scene.stations(other, [{ ...words('tide '.repeat(60)), title: `\u{10380} ${'wave '.repeat(38)}`.trim() }]);
    const places = { ...noPlaces, lessonId: other };
    const { notices } = await preview({ kind: 'poster', paper: 'A5', distanceM: 6 }, 0, places);
    expect(notices.map(({ warning }) => warning)).toEqual(
      expect.arrayContaining(['too-small', 'missing-characters', 'text-cut']),
    );
    const small = notices.find(({ warning }) => warning === 'too-small');
    expect(small).toMatchObject({ distanceM: 6, finer: false });
    expect(small?.reachM).toBeLessThan(6);
    expect(notices.find(({ warning }) => warning === 'missing-characters')).toMatchObject({
      field: 'title',
      characters: ['\u{10380}'],
    });
    const refused = await make({ kind: 'poster', paper: 'A5', distanceM: 6 }, ['too-small'], places);
    expect(refused.body).toMatchObject({
      reason: 'sheet-needs-go-ahead',
      warnings: expect.arrayContaining(['text-cut', 'missing-characters']) as readonly string[],
    });
    expect(
      (
        await make(
          { kind: 'poster', paper: 'A5', distanceM: 6 },
          notices.map(({ warning }) => warning),
          places,
        )
      ).status,
    ).toBe(201);
  });

  it('refuses labels that can’t be', async () => {
    const labels = { ...plainChoices('label', 'A4').labels, pitchXMm: 20 };
    expect((await preview({ kind: 'label', labels })).problem).toBe('cells-overlap');
    expect((await make({ kind: 'label', labels })).body).toMatchObject({
      reason: 'invalid',
      fields: [{ field: 'choices', detail: 'cells-overlap' }],
    });
  });

  it('prints a network’s password by choice only', async () => {
    const other = await scene.lesson();
    await scene.stations(other, [
      {
        content: { kind: 'network', name: 'reef-guests', security: 'WPA', password: 'barnacle-2041', hidden: false },
        pasted: 'reef-guests',
        repairs: [],
      },
    ]);
    const text = async (fields: SheetChoices['fields']): Promise<string> => {
      const print = (
        await make({ kind: 'table-card', fields }, ['too-small', 'locked', 'not-opened-yet', 'does-not-read'], {
          ...noPlaces,
          lessonId: other,
        })
      ).body as PrintView;
      return pdfText(await bytes(`/api/prints/${print.id}/file`));
    };
    expect(await text(['title', 'instruction', 'address', 'tap'])).not.toContain('barnacle');
    expect(await text(['title', 'password'])).toContain('reef-guests: barnacle-2041');
  });

  it('remembers each code as printed, and says when it changed after that', async () => {
    const other = await scene.lesson();
    const [stationId = ''] = await scene.stations(other, [words('one thing')]);
    await make({ kind: 'small-card' }, ['too-small', 'does-not-read'], { ...noPlaces, lessonId: other });
    const page = (): Promise<MaterialPage> => scene.page(stationId);
    expect((await page()).readiness.paper).toMatchObject({ state: 'done' });
    expect((await page()).sheets).toMatchObject([{ kind: 'small-card', state: 'done' }]);
    const { material } = await page();
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${material.id}`, {
      version: material.version,
      words: 'another thing',
    });
    expect((await page()).readiness.paper).toMatchObject({ state: 'look-at', changed: ['payload'] });
  });
});
