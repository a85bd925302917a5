/**
 * The eight data mask patterns and their penalties (ISO/IEC 18004, 7.8). Rows and columns are words of 32 modules, so that
 * runs, blocks and finder-like sequences are counted 32 at a time: trying all eight masks costs less than placing the bits.
 */
import type { Placement } from './placement.js';
import { remainder } from './placement.js';
import type { ErrorCorrectionLevel } from './versions.js';

/** Table 10: true where the mask inverts. */
const conditions: readonly ((row: number, column: number) => boolean)[] = [
  (row, column) => (row + column) % 2 === 0,
  (row) => row % 2 === 0,
  (_, column) => column % 3 === 0,
  (row, column) => (row + column) % 3 === 0,
  (row, column) => (Math.floor(row / 2) + Math.floor(column / 3)) % 2 === 0,
  (row, column) => ((row * column) % 2) + ((row * column) % 3) === 0,
  (row, column) => (((row * column) % 2) + ((row * column) % 3)) % 2 === 0,
  (row, column) => (((row + column) % 2) + ((row * column) % 3)) % 2 === 0,
];

/** Modules as bits, the first of a line lowest; the lines are rows in `rows` and columns in `columns`. */
export interface Grid {
  readonly modules: number;
  /** Words a line. */
  readonly words: number;
  readonly rows: Int32Array;
  readonly columns: Int32Array;
}

/** A symbol without a dark module. @param modules on a side */
export function emptyGrid(modules: number): Grid {
  const words = Math.ceil(modules / 32);
  return { modules, words, rows: new Int32Array(modules * words), columns: new Int32Array(modules * words) };
}

/** Makes a module dark, in its row and in its column. Both from 0. */
export function setDark({ words, rows, columns }: Grid, row: number, column: number): void {
  const inRow = row * words + (column >> 5);
  const inColumn = column * words + (row >> 5);
  rows[inRow] = (rows[inRow] ?? 0) | (1 << (column & 31));
  columns[inColumn] = (columns[inColumn] ?? 0) | (1 << (row & 31));
}

/** Table 12: what the level is called in the format information. */
const levelBits: Readonly<Record<ErrorCorrectionLevel, number>> = { L: 1, M: 0, Q: 3, H: 2 };
const formatMask = 0x5412;

/** The 15 bits of the format information (7.9). */
export function formatBits(level: ErrorCorrectionLevel, mask: number): number {
  const data = (levelBits[level] << 3) | mask;
  return ((data << 10) | remainder(data, 0x537, 10)) ^ formatMask;
}

const maskGrids = new WeakMap<Placement, Map<ErrorCorrectionLevel, readonly Grid[]>>();

/** The masks of a version at a level: each inverts data modules alone, and has its own format information. */
function masksOf(placement: Placement, level: ErrorCorrectionLevel): readonly Grid[] {
  const levels = maskGrids.get(placement) ?? new Map<ErrorCorrectionLevel, readonly Grid[]>();
  maskGrids.set(placement, levels);
  const known = levels.get(level);
  if (known) return known;
  const made = conditions.map((inverts, mask) => {
    const grid = emptyGrid(placement.modules);
    invertData(grid, placement, inverts);
    setFormat(grid, placement, formatBits(level, mask));
    return grid;
  });
  levels.set(level, made);
  return made;
}

function invertData(
  grid: Grid,
  { modules, reserved }: Placement,
  inverts: (row: number, column: number) => boolean,
): void {
  for (let row = 0; row < modules; row += 1) {
    for (let column = 0; column < modules; column += 1)
      if (reserved[row * modules + column] === 0 && inverts(row, column)) setDark(grid, row, column);
  }
}

function setFormat(grid: Grid, { format, modules }: Placement, bits: number): void {
  for (const places of format) {
    places.forEach((at, bit) => {
      if ((bits >> bit) & 1) setDark(grid, Math.floor(at / modules), at % modules);
    });
  }
}

/** The grid under a mask, with its format information. @throws RangeError for a mask that does not exist */
export function masked(data: Grid, placement: Placement, level: ErrorCorrectionLevel, mask: number): Grid {
  const pattern = masksOf(placement, level)[mask];
  if (!pattern) throw new RangeError(`mask must be 0 to 7, got ${mask}`);
  return writeMasked(data, pattern, emptyGrid(data.modules));
}

function writeMasked(data: Grid, pattern: Grid, grid: Grid): Grid {
  for (let at = 0; at < data.rows.length; at += 1) {
    grid.rows[at] = (data.rows[at] ?? 0) ^ (pattern.rows[at] ?? 0);
    grid.columns[at] = (data.columns[at] ?? 0) ^ (pattern.columns[at] ?? 0);
  }
  return grid;
}

const scratch = new WeakMap<Placement, readonly [Grid, Grid]>();

function scratchOf(placement: Placement): readonly [Grid, Grid] {
  const known = scratch.get(placement) ?? ([emptyGrid(placement.modules), emptyGrid(placement.modules)] as const);
  scratch.set(placement, known);
  return known;
}

/** The mask with the lowest penalty, and the grid under it: valid until the next call for that version. */
export function bestMask(
  data: Grid,
  placement: Placement,
  level: ErrorCorrectionLevel,
): { readonly mask: number; readonly grid: Grid } {
  let best = 0;
  let [grid, spare] = scratchOf(placement);
  let least = 0x7fffffff;
  masksOf(placement, level).forEach((pattern, mask) => {
    const penalty = penaltyOf(writeMasked(data, pattern, spare), least);
    if (penalty >= least) return;
    [grid, spare] = [spare, grid];
    [least, best] = [penalty, mask];
  });
  return { mask: best, grid };
}

/** Table 11: runs, blocks, sequences like a finder, and the share of dark modules. Once it reaches `enough` it is not counted to the end. */
export function penaltyOf(grid: Grid, enough = 0x7fffffff): number {
  const { modules, words, rows, columns } = grid;
  let penalty = 0;
  let dark = 0;
  for (let line = 0; line < modules && penalty < enough; line += 1) {
    penalty += linePenalty(rows, line * words, words, modules) + linePenalty(columns, line * words, words, modules);
    for (let word = 0; word < words; word += 1) dark += ones(rows[line * words + word] ?? 0);
    if (line > 0) penalty += 3 * blocksBetween(rows, (line - 1) * words, words, modules);
  }
  const total = modules * modules;
  return penalty + 10 * Math.floor(Math.abs(dark * 20 - total * 10) / total);
}

/** Runs of five and more cost 3 and 1 more for each further module; a finder's 1:1:3:1:1 beside four light modules costs 40. */
function linePenalty(lines: Int32Array, from: number, words: number, modules: number): number {
  let penalty = 0;
  let lastOfRun = 0;
  for (let word = 0; word < words; word += 1) {
    const low = lines[from + word] ?? 0;
    const high = word + 1 < words ? (lines[from + word + 1] ?? 0) : 0;
    const left = modules - word * 32;
    // Nothing that costs begins in the last four modules.
    if (left < 5) break;
    const s1 = shifted(low, high, 1);
    const s2 = shifted(low, high, 2);
    const s3 = shifted(low, high, 3);
    const s4 = shifted(low, high, 4);
    // Five alike from here on: all dark or all light. Only starts that leave room for five count.
    const five = ((low & s1 & s2 & s3 & s4) | ~(low | s1 | s2 | s3 | s4)) & firstOnes(left - 4);
    const before = (five << 1) | lastOfRun;
    penalty += ones(five) + 2 * ones(five & ~before);
    lastOfRun = five >>> 31;
    const finder = low & ~s1 & s2 & s3 & s4 & ~shifted(low, high, 5) & shifted(low, high, 6);
    if (finder !== 0) penalty += 40 * finderSides(lines, from, modules, word, finder);
  }
  return penalty;
}

/** Sides with four light modules inside the symbol, of each 1:1:3:1:1 that starts at a bit. Rare enough to look at one by one. */
function finderSides(lines: Int32Array, from: number, modules: number, word: number, starts: number): number {
  let sides = 0;
  for (let rest = starts; rest !== 0; rest &= rest - 1) {
    const at = word * 32 + 31 - Math.clz32(rest & -rest);
    if (at + 7 > modules) continue;
    sides += fourLight(lines, from, modules, at - 4) + fourLight(lines, from, modules, at + 7);
  }
  return sides;
}

/** 1 where four modules from there on are inside and light. */
function fourLight(lines: Int32Array, from: number, modules: number, first: number): 0 | 1 {
  if (first < 0 || first + 4 > modules) return 0;
  for (let at = first; at < first + 4; at += 1) if (((lines[from + (at >> 5)] ?? 0) >>> (at & 31)) & 1) return 0;
  return 1;
}

/** Two by two modules of one colour between a line and the next. */
function blocksBetween(lines: Int32Array, from: number, words: number, modules: number): number {
  let count = 0;
  for (let word = 0; word < words && modules - word * 32 > 1; word += 1) {
    const low = lines[from + word] ?? 0;
    const below = lines[from + words + word] ?? 0;
    const more = word + 1 < words;
    const right = shifted(low, more ? (lines[from + word + 1] ?? 0) : 0, 1);
    const belowRight = shifted(below, more ? (lines[from + words + word + 1] ?? 0) : 0, 1);
    const alike = (low & below & right & belowRight) | ~(low | below | right | belowRight);
    count += ones(alike & firstOnes(modules - word * 32 - 1));
  }
  return count;
}

function shifted(low: number, high: number, by: number): number {
  return (low >>> by) | (high << (32 - by));
}

/** A word whose first `count` bits are set; all for 32 and more, none for 0 and less. */
function firstOnes(count: number): number {
  if (count >= 32) return -1;
  return count <= 0 ? 0 : (1 << count) - 1;
}

/** Bits set in a word of 32. */
function ones(word: number): number {
  let value = word - ((word >>> 1) & 0x55555555);
  value = (value & 0x33333333) + ((value >>> 2) & 0x33333333);
  return Math.imul((value + (value >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}
