import fc from 'fast-check';
import { planSymbol, type SymbolPlan } from '../symbol/plan.js';
import type { ErrorCorrectionLevel } from '../symbol/versions.js';
import { box, boxHolds, boxPath, grown, shapesPath } from './box.js';
import { placeCentre } from './centre.js';
import { drawingSvg } from './code-svg.js';
import { drawCode, drawingSize, gradientAt, plainDrawing, type CodeDrawing } from './drawing.js';
import { iconNames, iconOf } from './icons.js';
import { judgeLook, mendedColours } from './judge-look.js';
import { finderShapes, frameForms, gradientWays, moduleShapes, plainLook, readLook, type LookDesign } from './look.js';
import { codeBits, codePixels, isTwoColours } from './pixels.js';
import { isFinder, moduleShapesOf } from './shapes.js';

function planned(payload = 'https://cofferlane.example/leaf/field-guide', level?: ErrorCorrectionLevel): SymbolPlan {
  const plan = planSymbol(payload, level);
  if (!plan.ok) throw new Error(plan.problem.reason);
  return plan.value;
}

/** About as wide as the real fonts. */
const measure = (text: string, _font: string, sizePt: number): number => (text.length * sizePt * 25.4 * 0.52) / 72;
const draw = (look: Partial<LookDesign>, plan = planned(), name = 'Field guide to limpets'): CodeDrawing =>
  drawCode(plan, { look: { ...plainLook, ...look }, name, iconOf, measure });

/** The numbers of path data, each command with its own. */
function commands(path: string): readonly (readonly [string, readonly number[]])[] {
  return [...path.matchAll(/([a-zA-Z])([^a-zA-Z]*)/g)].map(([, command = '', numbers = '']) => [
    command,
    (numbers.match(/-?\d*\.?\d+/g) ?? []).map(Number),
  ]);
}

/** Is a point in what a path of boxes fills by the even-odd rule? Straight edges only; corners are cut across. */
function inPath(path: string, px: number, py: number): boolean {
  let [x, y, startX, startY] = [0, 0, 0, 0];
  let odd = false;
  const to = (nx: number, ny: number): void => {
    if (y > py !== ny > py && px < ((nx - x) * (py - y)) / (ny - y) + x) odd = !odd;
    [x, y] = [nx, ny];
  };
  for (const [command, numbers] of commands(path)) {
    if (command === 'M') [x, y, startX, startY] = [numbers[0] ?? 0, numbers[1] ?? 0, numbers[0] ?? 0, numbers[1] ?? 0];
    else if (command === 'h') to(x + (numbers[0] ?? 0), y);
    else if (command === 'v') to(x, y + (numbers[0] ?? 0));
    else if (command === 'z') to(startX, startY);
    else to(x + (numbers.at(-2) ?? 0), y + (numbers.at(-1) ?? 0));
  }
  return odd;
}

describe('the shapes of a look', () => {
  const plan = planned();

  it.each(moduleShapes)('%s: each dark module holds its middle, and no light one does', (modules) => {
    for (const finders of finderShapes) {
      const shapes = moduleShapesOf(plan, { modules, finders });
      for (let row = 0; row < plan.modules; row += 1) {
        for (let column = 0; column < plan.modules; column += 1) {
          // A finder's own corner modules may be worn away; its form is tested below.
          if (isFinder(row, column, plan.modules)) continue;
          const dark = shapes.some(
            (shape) =>
              boxHolds(shape.box, column + 0.5, row + 0.5) &&
              !(shape.hole && boxHolds(shape.hole, column + 0.5, row + 0.5)),
          );
          expect([row, column, dark]).toEqual([row, column, plan.matrix[row * plan.modules + column] === 1]);
        }
      }
    }
  });

  it.each(finderShapes)('finder %s: a line through its middle meets 1:1:3:1:1, across and down', (finders) => {
    const shapes = moduleShapesOf(plan, { modules: 'plain', finders });
    const dark = (x: number, y: number): boolean =>
      shapes.some((shape) => boxHolds(shape.box, x, y) && !(shape.hole && boxHolds(shape.hole, x, y)));
    const far = plan.modules - 7;
    for (const [x, y] of [
      [0, 0],
      [far, 0],
      [0, far],
    ] as const) {
      const lengths = (at: (along: number) => boolean): readonly number[] => {
        const runs: [boolean, number][] = [];
        for (let step = 0; step < 700; step += 1) {
          const is = at((step + 0.5) / 100);
          const last = runs.at(-1);
          if (last && last[0] === is) last[1] += 0.01;
          else runs.push([is, 0.01]);
        }
        return runs.map(([, length]) => Math.round(length * 100) / 100);
      };
      expect(lengths((along) => dark(x + along, y + 3.5))).toEqual([1, 1, 3, 1, 1]);
      expect(lengths((along) => dark(x + 3.5, y + along))).toEqual([1, 1, 3, 1, 1]);
    }
  });

  it('are the same as a path and as an answer about a point', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...moduleShapes),
        fc.double({ min: 0.05, max: plan.modules - 0.05, noNaN: true }),
        fc.double({ min: 0.05, max: plan.modules - 0.05, noNaN: true }),
        (modules, px, py) => {
          const shapes = moduleShapesOf(plan, { modules, finders: 'plain' });
          const near = shapes.filter(
            ({ box: { x, y, width, height } }) =>
              px > x - 0.1 && py > y - 0.1 && px < x + width + 0.1 && py < y + height + 0.1,
          );
          const held =
            near.filter((shape) => boxHolds(shape.box, px, py) && !(shape.hole && boxHolds(shape.hole, px, py)))
              .length > 0;
          const inCorner = near.some(
            ({ box: { x, y, width, height, radii } }) =>
              radii.some((radius) => radius > 0) &&
              Math.min(px - x, x + width - px) < 0.46 &&
              Math.min(py - y, y + height - py) < 0.46,
          );
          if (!inCorner) expect(inPath(shapesPath(shapes), px, py)).toBe(held);
        },
      ),
      { numRuns: 120 },
    );
  });

  it('leave out what lies under a centre picture', () => {
    const centre = placeCentre(plan, { kind: 'icon', icon: 'shell', side: 0.3 });
    const middle = plan.modules / 2;
    expect(moduleShapesOf(plan, plainLook, centre?.covered).some((shape) => boxHolds(shape.box, middle, middle))).toBe(
      false,
    );
    expect(centre).toMatchObject({ width: 9, height: 9 });
  });
});

describe('a box', () => {
  it('closes where it began, whatever its corners', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(0, 0.2, 0.5), { minLength: 4, maxLength: 4 }),
        fc.boolean(),
        (radii, cut) => {
          const path = boxPath(
            box(3, 4, 2, 1.5, { radius: radii as unknown as [number, number, number, number], cut }),
          );
          const moved = commands(path).reduce<readonly [number, number]>(
            ([x, y], [command, numbers]) =>
              command === 'M' || command === 'z'
                ? [x, y]
                : command === 'h'
                  ? [x + (numbers[0] ?? 0), y]
                  : command === 'v'
                    ? [x, y + (numbers[0] ?? 0)]
                    : [x + (numbers.at(-2) ?? 0), y + (numbers.at(-1) ?? 0)],
            [0, 0],
          );
          expect(moved[0]).toBeCloseTo(0, 2);
          expect(radii[0] === 0 ? 0 : moved[1]).toBeCloseTo(0, 2);
        },
      ),
    );
  });

  it('grows on every side, and keeps sharp corners sharp', () => {
    expect(grown(box(1, 1, 2, 2, [0, 0.5, 0, 0]), 0.25)).toEqual({
      x: 0.75,
      y: 0.75,
      width: 2.5,
      height: 2.5,
      radii: [0, 0.75, 0, 0],
      cut: false,
    });
    expect(boxHolds(box(0, 0, 2, 2, 1), 0.1, 0.1)).toBe(false);
    expect(boxHolds(box(0, 0, 2, 2, { radius: 1, cut: true }), 0.45, 0.45)).toBe(false);
    expect(boxHolds(box(0, 0, 2, 2, 1), 0.45, 0.45)).toBe(true);
  });
});

describe('a drawing', () => {
  it('in the plain look is black squares on white with the quiet zone', () => {
    const { shapes, surround } = draw({});
    expect(surround).toEqual({ left: 4, top: 4, right: 4, bottom: 4 });
    expect(draw({})).toEqual(plainDrawing(planned()));
    expect(shapes.map((shape) => (shape.kind === 'fill' ? shape.paint : null))).toEqual([
      { kind: 'colour', colour: '#ffffff' },
      { kind: 'colour', colour: '#000000' },
    ]);
  });

  it.each(frameForms)('keeps frame %s off the quiet zone, and takes whole modules', (frame) => {
    for (const caption of [
      null,
      { words: 'Point your camera here', place: 'above' },
      { words: null, place: 'below' },
    ] as const) {
      const { shapes, surround, modules } = draw({ frame, caption });
      for (const side of Object.values(surround)) expect(Number.isInteger(side) && side >= 4).toBe(true);
      const [framed] = shapes.filter((shape) => shape.kind === 'fill').slice(2);
      if (framed?.kind !== 'fill') throw new Error('a frame is filled');
      for (let along = -3.9; along < modules + 3.9; along += 0.37) {
        for (const edge of [-3.95, modules + 3.95])
          expect([inPath(framed.path, along, edge), inPath(framed.path, edge, along)]).toEqual([false, false]);
      }
    }
  });

  it('puts its words inside the picture, on one line where they fit and on two otherwise', () => {
    const baselinesOf = (words: string | null, place: 'above' | 'below'): readonly number[] => {
      const { shapes, surround, modules } = draw({ caption: { words, place } });
      const text = shapes.find((shape) => shape.kind === 'text');
      if (text?.kind !== 'text') throw new Error('no words');
      for (const [index, baseline] of text.baselines.entries()) {
        const width = measure(text.lines[index] ?? '', 'text-bold', (text.size * 72) / 25.4);
        expect(width).toBeLessThanOrEqual(modules + surround.left + surround.right);
        expect(
          place === 'above'
            ? [baseline < -4, baseline - text.size > -surround.top - 0.5]
            : [baseline - text.size > modules + 3.5, baseline < modules + surround.bottom],
        ).toEqual([true, true]);
      }
      return text.baselines;
    };
    expect(baselinesOf('Look here', 'above')).toHaveLength(1);
    expect(baselinesOf(null, 'below')).toHaveLength(1);
    expect(baselinesOf('A sentence that is so long that one line would make it small', 'below')).toHaveLength(2);
  });

  it('takes its name for words where the look says so, and none where it has none', () => {
    const words = (name: string): readonly string[] =>
      draw({ caption: { words: null, place: 'below' } }, planned(), name).shapes.flatMap((shape) =>
        shape.kind === 'text' ? shape.lines : [],
      );
    expect(words(' Riddle ')).toEqual(['Riddle']);
    expect(words('  ')).toEqual([]);
  });

  it('paints a gradient from corner to corner the way it goes', () => {
    for (const way of gradientWays)
      expect([gradientAt(way, 0, 0, 20), gradientAt(way, 20, 20, 20)].sort()).toEqual(
        way === 'outwards' ? [1, 1] : [0, 1],
      );
    expect(gradientAt('outwards', 10, 10, 20)).toBe(0);
    const [, ink] = draw({ ink: '#123a6b', inkTo: '#7a1f3d', way: 'down' }).shapes;
    expect(ink).toMatchObject({
      paint: { kind: 'linear', from: [0, 0], to: [0, 33], colours: ['#123a6b', '#7a1f3d'] },
    });
  });

  it('goes without an icon that is not known', () => {
    expect(draw({ centre: { kind: 'icon', icon: 'nothing-such', side: null } }).shapes).toHaveLength(2);
  });

  it('as SVG says the same, with gradients, pictures and a title that can’t break out', () => {
    const pictureId = '01990000-0000-7000-8000-000000000001';
    const drawing = draw({
      ink: '#123a6b',
      inkTo: '#7a1f3d',
      way: 'outwards',
      centre: { kind: 'picture', pictureId, aspect: 2, side: null },
    });
    const svg = drawingSvg(drawing, {
      width: '50mm',
      height: '50mm',
      title: '<b>"x"</b>',
      pictureAddress: (id) => `data:image/png;base64,${id}`,
    });
    const { width, height } = drawingSize(drawing);
    expect(svg).toContain(`viewBox="-4 -4 ${width} ${height}"`);
    expect(svg).toContain('<radialGradient id="g1"');
    expect(svg).toContain(`href="data:image/png;base64,${pictureId}"`);
    expect(svg).not.toContain('<b>');
    expect(() =>
      drawingSvg(draw({ caption: { words: 'x', place: 'below' } }), {
        width: null,
        height: null,
        title: '',
        pictureAddress: () => null,
      }),
    ).toThrow('outlines');
  });
});

describe('icons', () => {
  it('all have strokes that begin with a place', () => {
    expect(iconNames.length).toBeGreaterThan(70);
    for (const name of iconNames) {
      const strokes = draw({ centre: { kind: 'icon', icon: name, side: null } }).shapes.filter(
        (shape) => shape.kind === 'stroke',
      );
      expect([
        name,
        strokes.length > 0,
        strokes.every((stroke) => stroke.kind === 'stroke' && /^[Mm]/.test(stroke.path)),
      ]).toEqual([name, true, true]);
    }
    expect(iconOf('constructor')).toBeNull();
  });
});

describe('what a look leaves', () => {
  it('of the plain one is everything', () => {
    expect(judgeLook(planned(), plainLook)).toMatchObject({
      state: 'done',
      reasons: [],
      centre: null,
      refusedBy: [],
      spare: { spare: 1 },
    });
  });

  it('of a centre picture is at least half, by itself', () => {
    fc.assert(
      fc.property(
        fc.string({ minLength: 1, maxLength: 120 }),
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        (payload, aspect) => {
          const { spare, centre, state } = judgeLook(planned(payload), {
            ...plainLook,
            centre: { kind: 'picture', pictureId: '01990000-0000-7000-8000-000000000001', aspect, side: null },
          });
          expect(spare.spare).toBeGreaterThanOrEqual(0.5);
          expect(state).toBe(centre === null ? 'look-at' : 'done');
        },
      ),
    );
  });

  it.each([
    ['colours too near', { ink: '#ffdf6b' }, 'stop', ['too-little-contrast']],
    ['colours a little near', { ink: '#c0c0c0' }, 'look-at', ['little-contrast']],
    ['the same grey', { ink: '#d02020', ground: '#3a8f3a' }, 'stop', ['too-little-contrast']],
    ['light on dark', { ink: '#ffffff', ground: '#101010' }, 'stop', ['light-on-dark']],
    ['a gradient that ends in the ground', { inkTo: '#ffffff' }, 'stop', ['too-little-contrast']],
    [
      'half of the repair gone',
      { centre: { kind: 'icon', icon: 'shell', side: 0.3 } },
      'look-at',
      ['little-spare-repair'],
    ],
    ['nothing left to repair', { centre: { kind: 'icon', icon: 'shell', side: 0.45 } }, 'stop', ['beyond-repair']],
  ] as const)('%s', (_, look, state, reasons) => {
    expect(judgeLook(planned(), { ...plainLook, ...look })).toMatchObject({ state, reasons });
  });

  it('says when a centre picture reaches the patterns that nothing repairs', () => {
    expect(
      judgeLook(planned('9'), { ...plainLook, centre: { kind: 'icon', icon: 'shell', side: 0.4 } }).reasons,
    ).toContain('covers-patterns');
  });

  it('proposes a higher level where that costs no version, and none otherwise', () => {
    const payload = 'https://a.example/leaf/x';
    expect(judgeLook(planned(payload, 'L'), plainLook).freeLevel).not.toBeNull();
    expect(judgeLook(planned(payload), plainLook).freeLevel).toBeNull();
    fc.assert(
      fc.property(
        fc.string({ minLength: 1, maxLength: 200 }),
        fc.constantFrom('L' as const, 'M' as const, 'Q' as const, 'H' as const),
        (text, level) => {
          const plan = planned(text, level);
          const { freeLevel } = judgeLook(plan, plainLook);
          if (freeLevel !== null) expect(planned(text, freeLevel).version).toBe(plan.version);
        },
      ),
    );
  });

  it('mends colours in one step, and leaves good ones alone', () => {
    const look: LookDesign = { ...plainLook, ink: '#ffc400', inkTo: '#d8e6f0', modules: 'worn' };
    const mended = mendedColours(look);
    expect(mended && judgeLook(planned(), mended).state).toBe('done');
    expect(mended).toMatchObject({ modules: 'worn', ground: '#ffffff' });
    expect(mendedColours(plainLook)).toBeNull();
  });
});

describe('a look from outside', () => {
  const whole: LookDesign = {
    ink: '#1D6F5B',
    inkTo: '#123a6b',
    way: 'down',
    ground: '#ffffff',
    modules: 'reeds',
    finders: 'ring',
    centre: { kind: 'icon', icon: 'shell', side: 0.2 },
    caption: { words: '  Look\n here ', place: 'above' },
    frame: 'tide',
  };

  it('is read value by value', () => {
    expect(readLook({ ...whole, more: 1 })).toEqual({
      ok: true,
      value: { ...whole, ink: '#1d6f5b', caption: { words: 'Look here', place: 'above' } },
    });
    expect(readLook(JSON.parse(JSON.stringify(plainLook)))).toEqual({ ok: true, value: plainLook });
  });

  it.each([
    ['ink', { ink: 'red' }],
    ['inkTo', { inkTo: 'url(#x)' }],
    ['ground', { ground: undefined }],
    ['way', { way: 'sideways' }],
    ['modules', { modules: 'constructor' }],
    ['finders', { finders: null }],
    ['frame', { frame: 'box' }],
    ['centre', { centre: 'shell' }],
    ['centre.kind', { centre: { kind: 'film', side: null } }],
    ['centre.icon', { centre: { kind: 'icon', icon: '"/><script>', side: null } }],
    ['centre.side', { centre: { kind: 'icon', icon: 'shell', side: 0.9 } }],
    ['centre.pictureId', { centre: { kind: 'picture', pictureId: '../x', aspect: 1, side: null } }],
    [
      'centre.aspect',
      { centre: { kind: 'picture', pictureId: '01990000-0000-7000-8000-000000000001', aspect: 0, side: null } },
    ],
    ['caption', { caption: 'x' }],
    ['caption.place', { caption: { words: 'x', place: 'left' } }],
    ['caption.words', { caption: { words: ' ', place: 'above' } }],
    ['caption.words', { caption: { words: 'x'.repeat(61), place: 'above' } }],
  ])('is refused with the field named: %s', (field, change) => {
    expect(readLook({ ...whole, ...change })).toEqual({ ok: false, problem: { field } });
  });

  it('is refused where it is none', () =>
    expect([null, [], 'x', 7].map((given) => readLook(given).ok)).toEqual([false, false, false, false]));
});

describe('pixels of two colours', () => {
  it('are whole ones a module, a bit each', () => {
    const plan = planned('9');
    const { sidePx, bytesPerRow, bits } = codeBits(plan, 3);
    expect([sidePx, bytesPerRow, bits.length]).toEqual([87, 11, 957]);
    const { grey } = codePixels(plan, 3);
    for (let y = 0; y < sidePx; y += 1) {
      for (let x = 0; x < sidePx; x += 1) {
        const [row, column] = [Math.floor(y / 3) - 4, Math.floor(x / 3) - 4];
        const dark = row >= 0 && column >= 0 && row < 21 && column < 21 && plan.matrix[row * 21 + column] === 1;
        expect(grey[y * sidePx + x]).toBe(dark ? 0 : 255);
      }
    }
    expect(() => codeBits(plan, 1.5)).toThrow(RangeError);
  });

  it('serve looks of squares in two colours only', () => {
    expect(isTwoColours({ ...plainLook, ink: '#123a6b' })).toBe(true);
    for (const change of [{ inkTo: '#000000' }, { modules: 'worn' }, { finders: 'ring' }, { frame: 'line' }] as const)
      expect(isTwoColours({ ...plainLook, ...change })).toBe(false);
  });
});
