/** Segments, version and level -> the modules of a symbol (ISO/IEC 18004, 7.7 to 7.10). */
import { writeCodewords } from './codewords.js';
import { bestMask, emptyGrid, masked, setDark, type Grid } from './masks.js';
import { placementOf, type Placement } from './placement.js';
import type { Segmentation } from './segments.js';
import type { ErrorCorrectionLevel } from './versions.js';

/** A symbol's modules under their mask. */
export interface EncodedSymbol {
  readonly version: number;
  readonly level: ErrorCorrectionLevel;
  /** Data mask pattern, 0 to 7. */
  readonly mask: number;
  readonly modules: number;
  /** Row by row, `modules` x `modules`; 1 = dark. */
  readonly matrix: Uint8Array;
}

/** @param mask chosen by penalty where none is given. @throws RangeError when the segments don't fit, or for a mask that does not exist */
export function encodeSymbol(
  segmentation: Segmentation,
  version: number,
  level: ErrorCorrectionLevel,
  mask?: number,
): EncodedSymbol {
  const placement = placementOf(version);
  const data = gridOf(placement, writeCodewords(segmentation, version, level));
  const chosen =
    mask === undefined ? bestMask(data, placement, level) : { mask, grid: masked(data, placement, level, mask) };
  return { version, level, mask: chosen.mask, modules: placement.modules, matrix: matrixOf(chosen.grid) };
}

const fixedGrids = new WeakMap<Placement, Grid>();

/** Function patterns, and the codewords' bits in their places, before masking. */
function gridOf(placement: Placement, codewords: Uint8Array): Grid {
  const fixed = fixedGrid(placement);
  const { order, orderRows, orderColumns } = placement;
  const { words } = fixed;
  const grid: Grid = { ...fixed, rows: fixed.rows.slice(), columns: fixed.columns.slice() };
  const { rows, columns } = grid;
  // Without a branch: half of the bits are dark, and nothing foretells which.
  for (let bit = 0; bit < order.length; bit += 1) {
    const dark = ((codewords[bit >> 3] ?? 0) >> (7 - (bit & 7))) & 1;
    const row = orderRows[bit] ?? 0;
    const column = orderColumns[bit] ?? 0;
    const inRow = row * words + (column >> 5);
    const inColumn = column * words + (row >> 5);
    rows[inRow] = (rows[inRow] ?? 0) | (dark << (column & 31));
    columns[inColumn] = (columns[inColumn] ?? 0) | (dark << (row & 31));
  }
  return grid;
}

function fixedGrid(placement: Placement): Grid {
  const known = fixedGrids.get(placement);
  if (known) return known;
  const grid = emptyGrid(placement.modules);
  placement.fixedDark.forEach((dark, at) => {
    if (dark === 1) setDark(grid, Math.floor(at / placement.modules), at % placement.modules);
  });
  fixedGrids.set(placement, grid);
  return grid;
}

function matrixOf({ modules, words, rows }: Grid): Uint8Array {
  const matrix = new Uint8Array(modules * modules);
  for (let row = 0, at = 0; row < modules; row += 1) {
    for (let word = 0, left = modules; word < words; word += 1, left -= 32) {
      let bits = rows[row * words + word] ?? 0;
      for (const end = at + Math.min(32, left); at < end; at += 1, bits >>>= 1) matrix[at] = bits & 1;
    }
  }
  return matrix;
}
