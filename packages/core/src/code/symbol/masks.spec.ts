import fc from 'fast-check';
import { encodeSymbol } from './encode.js';
import { bestMask, emptyGrid, masked, penaltyOf, setDark, type Grid } from './masks.js';
import { placementOf } from './placement.js';
import { planSymbol } from './plan.js';

type Modules = readonly (readonly boolean[])[];

const gridOf = (modules: Modules): Grid => {
  const grid = emptyGrid(modules.length);
  modules.forEach((line, row) => line.forEach((dark, column) => dark && setDark(grid, row, column)));
  return grid;
};

/** Table 11 of ISO/IEC 18004, module by module, as it is written there. */
function penaltyByHand(modules: Modules): number {
  const size = modules.length;
  const columns = modules.map((_, column) => modules.map((line) => line[column] ?? false));
  const lines = [...modules, ...columns];
  const dark = modules.flat().filter(Boolean).length;
  return (
    sum(lines.map(runsByHand)) +
    sum(lines.map(findersByHand)) +
    blocksByHand(modules) +
    10 * Math.floor(Math.abs((100 * dark) / size ** 2 - 50) / 5)
  );
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}

/** Five alike cost 3, each further one 1. */
function runsByHand(line: readonly boolean[]): number {
  let penalty = 0;
  for (let at = 0; at < line.length;) {
    let end = at;
    while (end < line.length && line[end] === line[at]) end += 1;
    if (end - at >= 5) penalty += end - at - 2;
    at = end;
  }
  return penalty;
}

/** 1:1:3:1:1 costs 40 for each side on which four light modules of the symbol follow. */
function findersByHand(line: readonly boolean[]): number {
  const light = (from: number): boolean =>
    from >= 0 && from + 4 <= line.length && line.slice(from, from + 4).every((dark) => !dark);
  return sum(
    line.map((_, at) => {
      const isFinder = [true, false, true, true, true, false, true].every((dark, step) => line[at + step] === dark);
      return isFinder ? 40 * (Number(light(at - 4)) + Number(light(at + 7))) : 0;
    }),
  );
}

function blocksByHand(modules: Modules): number {
  let penalty = 0;
  for (let row = 1; row < modules.length; row += 1)
    for (let column = 1; column < modules.length; column += 1) {
      const block = [modules[row]?.[column - 1], modules[row - 1]?.[column], modules[row - 1]?.[column - 1]];
      if (block.every((dark) => dark === modules[row]?.[column])) penalty += 3;
    }
  return penalty;
}

/** Sides around the ends of words of 32 modules, where they are put together. */
const sides = fc.constantFrom(21, 25, 29, 33, 37, 64, 65, 69, 97);
const symbols: fc.Arbitrary<Modules> = sides.chain((size) =>
  fc.tuple(fc.integer({ min: 1, max: 2 ** 31 - 1 }), fc.constantFrom(0.08, 0.3, 0.5, 0.92)).map(([seed, share]) => {
    let state = seed;
    const next = (): number => (state = (Math.imul(state, 48271) >>> 0) % 2147483647) / 2147483647;
    return Array.from({ length: size }, () => Array.from({ length: size }, () => next() < share));
  }),
);

describe('penalties of masks', () => {
  it('are those of the standard, counted module by module', () => {
    fc.assert(
      fc.property(symbols, (modules) => {
        expect(penaltyOf(gridOf(modules))).toBe(penaltyByHand(modules));
      }),
      { numRuns: 60 },
    );
  });

  it('count a finder beside four light modules on each side, and none at the edge', () => {
    const finder = [true, false, true, true, true, false, true];
    const line = (before: number): Modules => {
      const row = [...Array<boolean>(before).fill(false), ...finder];
      return Array.from({ length: 33 }, (_, at) =>
        at === 10 ? [...row, ...Array<boolean>(33 - row.length).fill(false)] : Array<boolean>(33).fill(false),
      );
    };
    for (const before of [0, 3, 4, 22, 26]) expect(penaltyOf(gridOf(line(before)))).toBe(penaltyByHand(line(before)));
  });

  it('stop being counted where another mask is better already', () => {
    const dark = Array.from({ length: 25 }, () => Array<boolean>(25).fill(true));
    expect(penaltyOf(gridOf(dark), 10)).toBeGreaterThanOrEqual(10);
    expect(penaltyOf(gridOf(dark), 10)).toBeLessThan(penaltyOf(gridOf(dark)));
  });
});

describe('the mask of a symbol', () => {
  const modulesOf = ({ modules, matrix }: { readonly modules: number; readonly matrix: Uint8Array }): Modules =>
    Array.from({ length: modules }, (_, row) =>
      Array.from({ length: modules }, (__, column) => matrix[row * modules + column] === 1),
    );

  it('is the first of those with the lowest penalty', () => {
    for (const payload of ['TIDES', 'https://cofferlane.example/leaf/field-guide', 'x'.repeat(70), '8'.repeat(180)]) {
      const planned = planSymbol(payload);
      if (!planned.ok) throw new Error(planned.problem.reason);
      const { segmentation, version, level, mask } = planned.value;
      const penalties = Array.from({ length: 8 }, (_, each) =>
        penaltyByHand(modulesOf(encodeSymbol(segmentation, version, level, each))),
      );
      expect(mask).toBe(penalties.indexOf(Math.min(...penalties)));
    }
  });

  it('leaves nothing beyond the symbol’s side', () => {
    for (const version of [1, 4, 5, 12]) {
      const placement = placementOf(version);
      const data = emptyGrid(placement.modules);
      for (const { rows, columns, words, modules } of [
        bestMask(data, placement, 'M').grid,
        masked(data, placement, 'M', 3),
      ]) {
        const beyond = modules % 32 === 0 ? 0 : -1 << (modules % 32);
        for (const lines of [rows, columns]) {
          const last = Array.from({ length: modules }, (_, line) => lines[line * words + words - 1] ?? 0);
          expect(last.every((word) => (word & beyond) === 0)).toBe(true);
        }
      }
    }
  });
});
