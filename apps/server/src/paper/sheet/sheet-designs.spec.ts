import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { layoutPage, layoutsOf, type FaceLayoutName, type PaperFormat, type SheetKind } from '@hapset/core';
import { iconOf } from '@hapset/core/icons';
import { createZbarReader, createZxingReader, type ReaderEngine } from '@hapset/readers';
import sharp from 'sharp';
import { measureIn } from '../../code/typeface/shaped-line.js';
import { sampleOrder, sheetSamples, type SheetSampleName } from '../../test/sheet-samples.js';
import { drawableOf, type SheetOrder } from './sheet-order.js';
import { answerTask } from './sheet.work.js';

type Case = readonly [
  kind: SheetKind,
  layout: FaceLayoutName,
  paper: PaperFormat,
  lying: boolean,
  sample: SheetSampleName,
];

const names = Object.keys(sheetSamples) as SheetSampleName[];
const cases = (kinds: readonly SheetKind[], papers: readonly PaperFormat[]): readonly Case[] =>
  kinds
    .flatMap((kind) => layoutsOf(kind).map((layout) => [kind, layout] as const))
    .flatMap(([kind, layout]) =>
      papers.flatMap((paper) => [false, true].map((lying) => ({ kind, layout, paper, lying }))),
    )
    .filter(({ kind, lying }) => kind !== 'label' || !lying)
    // Each text is met by each kind, in turn.
    .map(({ kind, layout, paper, lying }, index) => [
      kind,
      layout,
      paper,
      lying,
      names[(index + Math.floor(index / names.length)) % names.length] ?? 'usual',
    ]);

describe('designs of sheets', () => {
  const folder = mkdtempSync(join(tmpdir(), 'sheet-designs-'));
  const file = join(folder, 'sheet.pdf');
  let engines: readonly ReaderEngine[];
  beforeAll(async () => {
    const wasm = createRequire(import.meta.url).resolve('zxing-wasm/reader/zxing_reader.wasm');
    engines = [await createZxingReader({ bytes: readFileSync(wasm) }), await createZbarReader(null)];
  });
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  /** The first code that lies as it is read, with its quiet zone, mm. */
  const codeOn = (order: SheetOrder): { readonly left: number; readonly top: number; readonly side: number } => {
    const measure = measureIn(order.han);
    const drawable = drawableOf(order, { iconOf, measure });
    if (!drawable.ok) throw new Error(drawable.problem.reason);
    const code = layoutPage(drawable.value.composition, 0, measure).codes.find(({ turned }) => !turned);
    if (!code) throw new Error('no code is on the page');
    const { modules } = drawable.value.drawingOf(code.item);
    const quiet = (4 * code.sizeMm) / modules;
    return { left: code.xMm - quiet, top: code.yMm - quiet, side: code.sizeMm + 2 * quiet };
  };
  const read = async (
    { left, top, side }: ReturnType<typeof codeOn>,
    dpi: number,
  ): Promise<readonly (string | null)[]> => {
    const px = (mm: number): string => String(Math.max(0, Math.round((mm / 25.4) * dpi)));
    const crop = ['-x', px(left), '-y', px(top), '-W', px(side), '-H', px(side)];
    const png = execFileSync('pdftoppm', ['-r', String(dpi), ...crop, '-singlefile', '-png', file], {
      maxBuffer: 100_000_000,
    });
    const { data, info } = await sharp(png).greyscale().raw().toBuffer({ resolveWithObject: true });
    const frame = { widthPx: info.width, heightPx: info.height, grey: new Uint8Array(data) };
    return Promise.all(engines.map(async (engine) => (await engine.read(frame))?.text ?? null));
  };

  it.each([
    ...cases(['poster'], ['A4', 'A5', 'A3', 'Letter']),
    ...cases(['table-card', 'small-card', 'handout', 'label'], ['A4']),
  ])('%s, %s, on %s, landscape %s, %s texts: both engines read it at 150 and 300 dpi', async (...one) => {
    const [kind, layout, paper, lying, sample] = one;
    const order = sampleOrder({ kind, layout, paper, lying, sample, count: kind === 'poster' ? 1 : 4 });
    writeFileSync(file, (await answerTask({ kind: 'pdf', order })) as Uint8Array);
    const code = codeOn(order);
    const { payload } = order.contents[0] ?? { payload: '' };
    for (const dpi of [150, 300]) expect(await read(code, dpi)).toEqual([payload, payload]);
  });
});
