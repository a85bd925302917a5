import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  drawCode,
  finderShapes,
  frameForms,
  gradientWays,
  judgeLook,
  moduleShapes,
  plainLook,
  type LookDesign,
  type SymbolPlan,
} from '@hapset/core';
import { iconOf } from '@hapset/core/icons';
import sharp from 'sharp';
import { measureText } from '../../code/typeface/shaped-line.js';
import { smallPng } from '../../test/small-png.js';
import { codePicture, type CodeToDraw } from './code-picture.js';
import { pngOfBits } from './png-bits.js';
import { decode, decodePdf, planned } from '../../test/sample-codes.js';

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
      expect(await decodePdf(await codePicture(code, 'pdf', size))).toBe(payload);
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
    const path = join(mkdtempSync(join(tmpdir(), 'pictures-')), 'same.pdf');
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
    expect(await decodePdf(await codePicture(code, 'pdf', { sizeMm: 60, pixelsPerModule: 8 }))).toBe(payload);
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
