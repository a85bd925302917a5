import fc from 'fast-check';
import { box, boxHolds, boxPath, grown } from './box.js';
import { commands } from '../../test/sample-look.js';

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
