import fc from 'fast-check';
import type { MmBox } from '../face/box.js';
import { backOf, cellBox, checkGrid, cutsOf, fitGrid, type Grid } from './grid.js';

const a4 = { widthMm: 210, heightMm: 297 };
/** ISO/IEC 7810, ID-1. */
const id1 = { widthMm: 85.6, heightMm: 53.98 };

const apart = (one: MmBox, other: MmBox): boolean =>
  one.xMm + one.widthMm <= other.xMm + 1e-6 ||
  other.xMm + other.widthMm <= one.xMm + 1e-6 ||
  one.yMm + one.heightMm <= other.yMm + 1e-6 ||
  other.yMm + other.heightMm <= one.yMm + 1e-6;
const boxes = (grid: Grid): readonly MmBox[] =>
  Array.from({ length: grid.columns * grid.rows }, (_, index) => cellBox(grid, index));

const anyGrid = fc
  .record({
    widthMm: fc.double({ min: 15, max: 120, noNaN: true }),
    heightMm: fc.double({ min: 10, max: 120, noNaN: true }),
    marginMm: fc.double({ min: 0, max: 20, noNaN: true }),
    gapMm: fc.double({ min: 0, max: 8, noNaN: true }),
    lying: fc.boolean(),
  })
  .map(({ lying, marginMm, gapMm, ...cell }) => ({
    marginMm,
    grid: fitGrid(lying ? { widthMm: 297, heightMm: 210 } : a4, cell, marginMm, gapMm),
  }))
  .filter(({ grid }) => grid.ok);

describe('a grid', () => {
  it('holds ten cards of ID-1 on A4', () => {
    const grid = fitGrid(a4, id1, 10, 0);
    expect(grid).toMatchObject({ ok: true, value: { columns: 2, rows: 5 } });
    expect(fitGrid(a4, { widthMm: 220, heightMm: 20 }, 10, 0)).toEqual({ ok: false, problem: { reason: 'no-room' } });
    expect(() => fitGrid(a4, { widthMm: 0, heightMm: 20 }, 10, 0)).toThrow(RangeError);
  });

  it('has cells that lie apart and inside the margins, in the middle, and no room for another', () => {
    fc.assert(
      fc.property(anyGrid, ({ marginMm, grid }) => {
        if (!grid.ok) return false;
        const { page, widthMm, pitchXMm } = grid.value;
        const all = boxes(grid.value);
        const [first, last] = [all[0] as MmBox, all.at(-1) as MmBox];
        const within =
          first.xMm >= marginMm - 0.02 &&
          first.yMm >= marginMm - 0.02 &&
          last.xMm + last.widthMm <= page.widthMm - marginMm + 0.02 &&
          last.yMm + last.heightMm <= page.heightMm - marginMm + 0.02;
        const middle = Math.abs(first.xMm - (page.widthMm - last.xMm - widthMm)) < 1e-6;
        const full =
          last.xMm + pitchXMm + widthMm + first.xMm > page.widthMm - 1e-6 ||
          2 * marginMm + (grid.value.columns + 1) * pitchXMm > page.widthMm;
        return (
          within &&
          middle &&
          full &&
          all.every((box, index) => all.slice(index + 1).every((other) => apart(box, other)))
        );
      }),
    );
  });

  it('is refused by its figures where labels would overlap or leave the page', () => {
    const labels: Grid = {
      page: a4,
      columns: 3,
      rows: 8,
      widthMm: 63.5,
      heightMm: 33.9,
      leftMm: 7.2,
      topMm: 12.9,
      pitchXMm: 66,
      pitchYMm: 33.9,
    };
    expect(checkGrid(labels).ok).toBe(true);
    expect(checkGrid({ ...labels, pitchXMm: 60 })).toEqual({ ok: false, problem: { reason: 'cells-overlap' } });
    expect(checkGrid({ ...labels, leftMm: 16 })).toEqual({ ok: false, problem: { reason: 'beyond-page' } });
    expect(checkGrid({ ...labels, rows: 0 })).toEqual({ ok: false, problem: { reason: 'no-room' } });
    expect(() => cellBox(labels, 24)).toThrow(RangeError);
  });

  it('is cut straight through: every cell’s edges are cuts, and touching cells share one', () => {
    const touching = fitGrid(a4, id1, 10, 0);
    if (!touching.ok) throw new Error('it fits');
    expect(cutsOf(touching.value).acrossMm).toHaveLength(3);
    expect(cutsOf(touching.value).downMm).toHaveLength(6);
    fc.assert(
      fc.property(anyGrid, ({ grid }) => {
        if (!grid.ok) return false;
        const { acrossMm, downMm } = cutsOf(grid.value);
        const near = (cuts: readonly number[], at: number): boolean => cuts.some((cut) => Math.abs(cut - at) < 0.02);
        return boxes(grid.value).every(
          ({ xMm, yMm, widthMm, heightMm }) =>
            near(acrossMm, xMm) && near(acrossMm, xMm + widthMm) && near(downMm, yMm) && near(downMm, yMm + heightMm),
        );
      }),
    );
  });
});

describe('the back of a box', () => {
  const box: MmBox = { xMm: 20, yMm: 30, widthMm: 50, heightMm: 40 };

  it('lies behind it, as the printer turns the paper', () => {
    expect(backOf(a4, box, 'long')).toEqual({ box: { ...box, xMm: 140 }, onItsHead: false });
    expect(backOf(a4, box, 'short')).toEqual({ box: { ...box, yMm: 227 }, onItsHead: true });
    const lying = { widthMm: 297, heightMm: 210 };
    expect(backOf(lying, box, 'long')).toEqual({ box: { ...box, yMm: 140 }, onItsHead: true });
    expect(backOf(lying, box, 'short')).toEqual({ box: { ...box, xMm: 227 }, onItsHead: false });
  });

  it('is the front again when it is turned twice, and follows the printer’s adjustment', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('long' as const, 'short' as const),
        fc.integer({ min: 0, max: 100 }),
        fc.integer({ min: 0, max: 100 }),
        (edge, xMm, yMm) => {
          const back = backOf(a4, { ...box, xMm, yMm }, edge).box;
          expect(backOf(a4, back, edge).box).toEqual({ ...box, xMm, yMm });
        },
      ),
    );
    expect(backOf(a4, box, 'long', { rightMm: 1.5, downMm: -0.5 }).box).toEqual({ ...box, xMm: 141.5, yMm: 29.5 });
  });
});
