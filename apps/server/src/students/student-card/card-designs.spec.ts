import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { CardsRequest, ImportedStudent, PrintView, SchoolView, StudentsPage } from '@hapset/contract';
import { cardDesigns } from '@hapset/core';
import { createZbarReader, createZxingReader, type ReaderEngine } from '@hapset/readers';
import sharp from 'sharp';
import { cardsRequest } from '../../test/cards-request.js';
import { renderPage } from '../../test/render-page.js';
import { Scene } from '../../test/scene.js';

const names = [
  'Ann Lee',
  'Zoë-Marguerite Featherstonehaugh',
  'محمد علي',
  'Ana María de la Cruz',
  '太郎 山田',
  'Олег Сидоров',
];
const dpi = 150;

describe('designs of student cards', () => {
  const folder = mkdtempSync(join(tmpdir(), 'card-designs-'));
  let scene: Scene;
  let engines: readonly ReaderEngine[];
  beforeAll(async () => {
    scene = await Scene.start();
    const roster = Array.from({ length: 14 }, (_, index): ImportedStudent => ({
      schoolId: `00${100 + index}`,
      prefix: '',
      given: names[index % names.length]?.split(' ')[0] ?? '',
      middle: '',
      family: names[index % names.length]?.split(' ').slice(1).join(' ') ?? '',
      className: index < 3 ? '6 Heron' : '6 Kestrel',
      year: '6',
    }));
    await scene.importRoster(roster);
    const wasm = createRequire(import.meta.url).resolve('zxing-wasm/reader/zxing_reader.wasm');
    engines = [await createZxingReader({ bytes: readFileSync(wasm) }), await createZbarReader(null)];
  });
  afterAll(async () => {
    rmSync(folder, { recursive: true, force: true });
    await scene.stop();
  });

  const full: Partial<CardsRequest> = {
    fields: ['class', 'id', 'school'],
    schoolYear: '2026/27',
    validUntil: '2027-07-31',
  };
  const make = async (change: Partial<CardsRequest>): Promise<{ readonly print: PrintView; readonly file: string }> => {
    const request = { ...cardsRequest, ...full, ...change };
    const print = await scene.server.ok<PrintView>('Hesper', 'POST', '/api/student-cards', { request });
    const file = join(folder, `${print.id}.pdf`);
    writeFileSync(file, (await scene.server.file('Hesper', `/api/prints/${print.id}/file`)).body as Buffer);
    execFileSync('qpdf', ['--check', file]);
    return { print, file };
  };
  const textOf = (file: string): string => execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });

  /** What both engines read on each card of a page that was cut apart, in the order of the cells. */
  const readPage = async (file: string, page: number, columns: number, rows: number): Promise<readonly string[]> => {
    const png = renderPage(file, page, dpi);
    const { width = 0, height = 0 } = await sharp(png).metadata();
    const edge = Math.round((10 / 25.4) * dpi);
    const [across, down] = [(width - 2 * edge) / columns, (height - 2 * edge) / rows];
    const read: string[] = [];
    for (let cell = 0; cell < columns * rows; cell += 1) {
      const card = {
        left: Math.round(edge + (cell % columns) * across),
        top: Math.round(edge + Math.floor(cell / columns) * down),
        width: Math.floor(across),
        height: Math.floor(down),
      };
      const { data, info } = await sharp(png).extract(card).greyscale().raw().toBuffer({ resolveWithObject: true });
      const frame = { widthPx: info.width, heightPx: info.height, grey: new Uint8Array(data) };
      const texts = await Promise.all(engines.map(async (engine) => (await engine.read(frame))?.text ?? 'nothing'));
      if (new Set(texts).size > 1) throw new Error(`cell ${cell} reads ${texts.join(' and ')}`);
      read.push(texts[0] ?? 'nothing');
    }
    return read.filter((text) => text !== 'nothing');
  };

  it.each([
    ['band', 10, 2, 5],
    ['big-code', 10, 2, 5],
    ['upright', 10, 5, 2],
    ['band', 8, 2, 4],
    ['upright', 8, 4, 2],
    ['band', 24, 4, 6],
    ['big-code', 24, 4, 6],
  ] as const)('%s, %d a page: both engines read each card', async (design, perPage, columns, rows) => {
    const { print, file } = await make({ design, perPage });
    const read: string[] = [];
    for (let page = 1; page <= print.pages; page += 1) read.push(...(await readPage(file, page, columns, rows)));
    expect(new Set(read).size).toBe(14);
    for (const text of read) expect(text).toMatch(/^HPC[2-9A-Z]{13}$/);
  });

  it.each(cardDesigns)('%s says class, school year and validity in words', async (design) => {
    const { file } = await make({ design });
    const text = textOf(file);
    expect(text.match(/6 Heron/g)).toHaveLength(3);
    expect(text).toContain('2026/27');
    expect(text).toMatch(/31\s+July\s+2027/);
    expect(text).toContain('00100');
  });

  it('says in words what the colour of its band means, whatever else is left out', async () => {
    expect(textOf((await make({ fields: [] })).file).match(/6 Heron/g)).toHaveLength(3);
    expect(textOf((await make({ fields: [], band: 'none' })).file)).not.toContain('6 Heron');
    const all = await scene.server.ok<StudentsPage>('Hesper', 'GET', '/api/students?class=6%20Heron');
    for (const { id, version } of all.rows)
      await scene.server.ok('Hesper', 'PATCH', `/api/students/${id}`, { version, year: 'Year 9' });
    expect(textOf((await make({ fields: [], band: 'year' })).file).match(/Year 9 · 6 Heron/g)).toHaveLength(3);
  });

  it('begins a page for each class, and says on the backs where a found card belongs', async () => {
    const school = await scene.server.ok<SchoolView>('Pell', 'GET', '/api/school');
    await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, cardReturnTo: '3 Mill Lane, 01632 960001' });
    expect((await make({ newPagePerClass: true })).print.pages).toBe(3);
    const { print, file } = await make({ newPagePerClass: true, backs: true });
    expect(print.pages).toBe(6);
    const back = execFileSync('pdftotext', ['-f', '2', '-l', '2', file, '-'], { encoding: 'utf8' });
    expect(back.match(/If found, please return to/g)).toHaveLength(3);
    expect(back.replace(/\s+/g, ' ')).toContain(`${school.name}, 3 Mill Lane, 01632 960001`);
    expect(back).toContain('Ann Lee');
    expect(back).toContain('6 Heron · 2026/27');
  });

  it('speaks the school’s language', async () => {
    const school = await scene.server.ok<SchoolView>('Pell', 'GET', '/api/school');
    await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, language: 'de-DE' });
    const text = textOf((await make({})).file).replace(/\s+/g, ' ');
    await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, version: school.version + 1 });
    expect(text).toContain('Schuljahr 2026/27');
    expect(text).toContain('31. Juli 2027');
  });
});
