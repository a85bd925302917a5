import { frameForms, type FrameForm } from './look.js';
import { placeFrame, plainSurround, type PlacedFrame } from './frame.js';

const modules = 25;
const words = 'Listen here';
/** Every letter half as wide as it is high. */
const measure = (text: string, _font: string, sizePt: number): number => (text.length * sizePt) / 2 / 2.8346;
const place = (frame: FrameForm | null, caption: 'above' | 'below' | null): PlacedFrame =>
  placeFrame(modules, { frame, caption: caption && { words, place: caption } }, caption === null ? '' : words, measure);

type Point = readonly [x: number, y: number];
/** Where each command of a path leaves the pen. */
const moves: Readonly<Record<string, (pen: Point, numbers: readonly number[]) => Point>> = {
  M: (_, [x = 0, y = 0]) => [x, y],
  H: ([, y], [x = 0]) => [x, y],
  V: ([x], [y = 0]) => [x, y],
  h: ([x, y], [right = 0]) => [x + right, y],
  v: ([x, y], [down = 0]) => [x, y + down],
  z: (pen) => pen,
};
/** Of arcs, curves and lines: their last two numbers. */
const relative = ([x, y]: Point, numbers: readonly number[]): Point => [
  x + (numbers.at(-2) ?? 0),
  y + (numbers.at(-1) ?? 0),
];

function pointsOf(path: string): readonly Point[] {
  let pen: Point = [0, 0];
  return [...path.matchAll(/([MHVhvaqzl])([^MHVhvaqzl]*)/g)].map(([, command = '', rest = '']) => {
    const numbers = (rest.match(/-?\d*\.?\d+/g) ?? []).map(Number);
    pen = (moves[command] ?? relative)(pen, numbers);
    return pen;
  });
}

function boundsOf(points: readonly Point[]): readonly number[] {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}

describe('a frame', () => {
  it.each(frameForms)('%s stays between the quiet zone and its own surround', (form) => {
    for (const caption of [null, 'above', 'below'] as const) {
      const { surround, path } = place(form, caption);
      for (const [x, y] of pointsOf(path)) {
        expect(x).toBeGreaterThanOrEqual(-surround.left);
        expect(x).toBeLessThanOrEqual(modules + surround.right);
        expect(y).toBeGreaterThanOrEqual(-surround.top);
        expect(y).toBeLessThanOrEqual(modules + surround.bottom);
      }
      for (const side of [surround.left, surround.top, surround.right, surround.bottom])
        expect(side).toBeGreaterThanOrEqual(plainSurround.left);
    }
  });

  it('of a ticket has its notches in the middle of its sides', () => {
    const outlines = place('ticket', null)
      .path.split('z')
      .filter((part) => part !== '');
    expect(outlines).toHaveLength(2);
    // As thick on all four sides.
    const [outer = [], inner = []] = outlines.map((outline) => boundsOf(pointsOf(outline)));
    expect(outer.map((bound, side) => bound - (inner[side] ?? 0))).toEqual([-0.5, -0.5, 0.5, 0.5]);
    for (const outline of outlines) {
      const heights = pointsOf(outline).map(([, y]) => y);
      // Down the right side: corner, begin and end of the notch, corner; then up the left one.
      const [, top = 0, from = 0, to = 0, bottom = 0, , up = 0, upTo = 0] = heights;
      expect(from - top).toBeCloseTo(bottom - to, 2);
      expect(bottom - up).toBeCloseTo(upTo - top, 2);
      expect(to - from).toBeGreaterThan(2);
      expect(bottom).toBeGreaterThan(modules);
    }
  });

  it.each([
    ['line', false],
    ['band', true],
    ['ticket', false],
    ['tide', true],
    [null, false],
  ] as const)('%s has its caption on a filled band: %s', (form, onBand) => {
    for (const where of ['above', 'below'] as const) {
      const { caption, surround } = place(form, where);
      expect(caption).toMatchObject({ onBand, lines: [words], x: modules / 2 });
      const [baseline = 0] = caption?.baselines ?? [];
      if (where === 'above') expect(baseline).toBeLessThan(-plainSurround.top);
      else expect(baseline).toBeGreaterThan(modules + plainSurround.bottom);
      expect(baseline).toBeGreaterThan(-surround.top);
      expect(baseline).toBeLessThan(modules + surround.bottom);
    }
  });
});
