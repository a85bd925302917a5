import fc from 'fast-check';
import { boxHolds, shapesPath } from './box.js';
import { placeCentre } from './centre.js';
import { iconNames, iconOf } from './icons.js';
import { finderShapes, lookColours, moduleShapes, plainLook, readLook, type LookDesign } from './look.js';
import { isFinder, moduleShapesOf } from './shapes.js';
import { planned, draw, inPath } from '../../test/sample-look.js';

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
    ['centre.icon', { centre: { kind: 'icon', icon: 'shell!', side: null } }],
    ['centre.icon', { centre: { kind: 'icon', icon: 's'.repeat(41), side: null } }],
    ['centre.side', { centre: { kind: 'icon', icon: 'shell', side: 0.9 } }],
    ['centre.side', { centre: { kind: 'icon', icon: 'shell', side: '0.2' } }],
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

  it('has one dark colour, or two that ink runs between', () => {
    expect(lookColours({ ink: '#000000', inkTo: null, ground: '#ffffff' }).dark).toEqual(['#000000']);
    expect(lookColours({ ink: '#000000', inkTo: '#123a6b', ground: '#ffffff' }).dark).toEqual(['#000000', '#123a6b']);
  });

  it('is refused where it is none', () =>
    expect([null, [], 'x', 7].map((given) => readLook(given).ok)).toEqual([false, false, false, false]));
});
