/**
 * Where everything is in a symbol of a version: function patterns (ISO/IEC 18004, 6.3), places of format and version
 * information (7.9, 7.10), and the order in which the bits of the codewords fill what is left (7.7.3). The same for every
 * payload, so it is worked out once for a version.
 */
import { alignmentCentres, codewordsOf, modulesOf } from './versions.js';

/** Which modules are function patterns, and the order in which data fills the rest. */
export interface Placement {
  readonly modules: number;
  /** 1 where a finder, separator, timing or alignment pattern, or format or version information is; row by row. */
  readonly reserved: Uint8Array;
  /** The dark modules among them that never change, version information included. */
  readonly fixedDark: Uint8Array;
  /** Places of the bits of the codewords in their order; remainder bits are left out. */
  readonly order: Uint16Array;
  /** The row and the column of each place in `order`. */
  readonly orderRows: Uint8Array;
  readonly orderColumns: Uint8Array;
  /** Places of the 15 bits of the format information, least significant first: beside the upper left finder, and beside the others. */
  readonly format: readonly [Uint16Array, Uint16Array];
}

const known = new Map<number, Placement>();

/**
 * Function patterns of a version, and the order in which data fills the rest (ISO/IEC 18004, 7.7.3).
 * @param version 1 to 40
 */
export function placementOf(version: number): Placement {
  const existing = known.get(version);
  if (existing) return existing;
  const made = place(version);
  known.set(version, made);
  return made;
}

function place(version: number): Placement {
  const modules = modulesOf(version);
  const reserved = new Uint8Array(modules * modules);
  const fixedDark = new Uint8Array(modules * modules);
  const set = (row: number, column: number, dark: boolean): void => {
    if (row < 0 || column < 0 || row >= modules || column >= modules) return;
    reserved[row * modules + column] = 1;
    fixedDark[row * modules + column] = dark ? 1 : 0;
  };
  placeTiming(modules, set);
  placeFinders(modules, set);
  placeAlignment(version, modules, set);
  const format = formatPlaces(modules);
  for (const places of format) for (const at of places) reserved[at] = 1;
  set(modules - 8, 8, true); // always dark (7.9.1)
  if (version >= 7) placeVersion(version, modules, set);
  const order = zigzag(modules, reserved, codewordsOf(version) * 8);
  return {
    modules,
    reserved,
    fixedDark,
    order,
    orderRows: Uint8Array.from(order, (at) => Math.floor(at / modules)),
    orderColumns: Uint8Array.from(order, (at) => at % modules),
    format,
  };
}

type SetModule = (row: number, column: number, dark: boolean) => void;

/** Timing patterns between the finders (6.3.5). */
function placeTiming(modules: number, set: SetModule): void {
  for (let at = 8; at < modules - 8; at += 1) {
    set(6, at, at % 2 === 0);
    set(at, 6, at % 2 === 0);
  }
}

/** Finder patterns with their separators (6.3.3, 6.3.4). */
function placeFinders(modules: number, set: SetModule): void {
  for (const [row, column] of [
    [3, 3],
    [3, modules - 4],
    [modules - 4, 3],
  ] as const)
    square(row, column, 4, (ring) => ring !== 2 && ring !== 4, set);
}

/** Alignment patterns, everywhere but on the finders (6.3.6). */
function placeAlignment(version: number, modules: number, set: SetModule): void {
  const centres = alignmentCentres(version);
  const last = modules - 7;
  const isOnFinder = (row: number, column: number): boolean =>
    (row === 6 && column === 6) || (row === 6 && column === last) || (row === last && column === 6);
  for (const row of centres)
    for (const column of centres) if (!isOnFinder(row, column)) square(row, column, 2, (ring) => ring !== 1, set);
}

/** Rings around a centre; `isDark` says which of them are dark, from the centre outwards. */
function square(row: number, column: number, radius: number, isDark: (ring: number) => boolean, set: SetModule): void {
  for (let down = -radius; down <= radius; down += 1) {
    for (let right = -radius; right <= radius; right += 1)
      set(row + down, column + right, isDark(Math.max(Math.abs(down), Math.abs(right))));
  }
}

/** Figure 25: bit 0 to bit 14. */
function formatPlaces(modules: number): readonly [Uint16Array, Uint16Array] {
  const at = (row: number, column: number): number => row * modules + column;
  const first = Array.from({ length: 15 }, (_, bit) => {
    if (bit < 6) return at(bit, 8);
    if (bit < 8) return at(bit + 1, 8);
    return bit === 8 ? at(8, 7) : at(8, 14 - bit);
  });
  const second = Array.from({ length: 15 }, (_, bit) =>
    bit < 8 ? at(8, modules - 1 - bit) : at(modules - 15 + bit, 8),
  );
  return [Uint16Array.from(first), Uint16Array.from(second)];
}

/** 18 bits, twice: version and its BCH(18,6) remainder (7.10). */
function placeVersion(
  version: number,
  modules: number,
  set: (row: number, column: number, dark: boolean) => void,
): void {
  const bits = (version << 12) | remainder(version, 0x1f25, 12);
  for (let bit = 0; bit < 18; bit += 1) {
    const dark = ((bits >> bit) & 1) === 1;
    const [near, far] = [Math.floor(bit / 3), modules - 11 + (bit % 3)];
    set(near, far, dark);
    set(far, near, dark);
  }
}

/** Remainder of `value` shifted up by the generator's degree, in GF(2). */
export function remainder(value: number, generator: number, degree: number): number {
  let rest = value;
  for (let step = 0; step < degree; step += 1) rest = (rest << 1) ^ ((rest >> (degree - 1)) * generator);
  return rest;
}

/** Two columns at a time, from the lower right corner up and down again; the vertical timing pattern's column is skipped. */
function zigzag(modules: number, reserved: Uint8Array, bits: number): Uint16Array {
  const order = new Uint16Array(bits);
  let count = 0;
  let up = true;
  for (let right = modules - 1; right > 0; right -= 2) {
    if (right === 6) right -= 1;
    for (let step = 0; step < modules; step += 1) {
      const row = up ? modules - 1 - step : step;
      for (const at of [row * modules + right, row * modules + right - 1]) {
        if (reserved[at] === 0 && count < bits) order[count++] = at;
      }
    }
    up = !up;
  }
  return order;
}
