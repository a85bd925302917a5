/**
 * Spare repair: the error correction that covered modules leave unused. Codewords are spread over blocks, each of which
 * repairs its own errors only, so the weakest block decides: the least over all blocks of (t - errors) / t, a covered
 * codeword counting as one error. What covers function patterns is told apart: no error correction repairs those.
 */
import { blockOfCodeword } from './codewords.js';
import { placementOf } from './placement.js';
import { blockStructure, modulesOf, type ErrorCorrectionLevel } from './versions.js';

/** Codewords that may still be damaged where some are covered. */
export interface SpareRepair {
  /** 1 where nothing is covered, 0 where nothing is left; below 0 a reader can't repair it any more. */
  readonly spare: number;
  /** Covered codewords in the weakest block. */
  readonly errors: number;
  /** How many it repairs. */
  readonly repairable: number;
  /** Covered modules of finder, timing and alignment patterns, format and version information. */
  readonly functionModules: number;
}

/**
 * Codewords a block that are kept for noticing misreadings instead of repairing (ISO/IEC 18004, table 9, note b).
 * By version and level; 0 for all others.
 */
const misdecodeProtection: Readonly<Record<string, number>> = { '1L': 3, '1M': 2, '1Q': 1, '1H': 1, '2L': 2, '3L': 1 };

/** Codewords of a block that are repaired wherever they are. */
export function repairableInBlock(version: number, level: ErrorCorrectionLevel): number {
  return Math.floor(
    (blockStructure(version, level).eccPerBlock - (misdecodeProtection[`${version}${level}`] ?? 0)) / 2,
  );
}

/**
 * @param covered `modules` x `modules`, row by row; not 0 where a module can't be trusted any more
 * @throws RangeError for a version that does not exist, or another number of modules
 */
export function spareRepair(version: number, level: ErrorCorrectionLevel, covered: Uint8Array): SpareRepair {
  const modules = modulesOf(version);
  if (covered.length !== modules * modules)
    throw new RangeError(`covered must have ${modules * modules} modules, got ${covered.length}`);
  const { order, reserved } = placementOf(version);
  const blockOf = blockOfCodeword(version, level);
  const errors = new Uint16Array(blockStructure(version, level).blocks);
  for (let codeword = 0; codeword < blockOf.length; codeword += 1) {
    if (isCovered(order, codeword, covered)) errors[blockOf[codeword] ?? 0] = (errors[blockOf[codeword] ?? 0] ?? 0) + 1;
  }
  const repairable = repairableInBlock(version, level);
  const most = Math.max(...errors);
  const functionModules = covered.reduce((count, each, at) => count + (each !== 0 && reserved[at] === 1 ? 1 : 0), 0);
  return { spare: (repairable - most) / repairable, errors: most, repairable, functionModules };
}

function isCovered(order: Uint16Array, codeword: number, covered: Uint8Array): boolean {
  for (let bit = codeword * 8; bit < codeword * 8 + 8; bit += 1) if (covered[order[bit] ?? 0] !== 0) return true;
  return false;
}

/** Modules that a rectangle in the middle covers, partly covered ones included. Sides in modules, not above the symbol's. */
export function coveredByCentre(version: number, width: number, height: number): Uint8Array {
  const modules = modulesOf(version);
  const [fromColumn, toColumn] = middle(modules, width);
  const [fromRow, toRow] = middle(modules, height);
  const covered = new Uint8Array(modules * modules);
  for (let row = fromRow; row < toRow; row += 1) covered.fill(1, row * modules + fromColumn, row * modules + toColumn);
  return covered;
}

function middle(modules: number, side: number): readonly [number, number] {
  const half = Math.min(side, modules) / 2;
  return [Math.floor(modules / 2 - half + 1e-9), Math.ceil(modules / 2 + half - 1e-9)];
}

/** Half of the error correction stays for print, dirt and light. */
export const centreLeaves = 0.5;

/**
 * The largest rectangle in the middle that leaves so much spare repair and touches no finder, timing or format module.
 * @param aspect width : height
 * @returns sides in whole modules; null where not even one module may be covered
 */
export function largestCentre(
  version: number,
  level: ErrorCorrectionLevel,
  aspect = 1,
  leaves = centreLeaves,
): { readonly width: number; readonly height: number } | null {
  if (!(aspect > 0)) throw new RangeError(`aspect must be above 0, got ${aspect}`);
  const modules = modulesOf(version);
  for (let longer = modules; longer >= 1; longer -= 1) {
    const width = aspect >= 1 ? longer : Math.max(1, Math.round(longer * aspect));
    const height = aspect >= 1 ? Math.max(1, Math.round(longer / aspect)) : longer;
    if (spareOfCentre(version, level, width, height) >= leaves) return { width, height };
  }
  return null;
}

function spareOfCentre(version: number, level: ErrorCorrectionLevel, width: number, height: number): number {
  const modules = modulesOf(version);
  // Finders with their separators and format information end at module 8; the timing patterns lie on 6.
  if ((modules - width) / 2 < 9 || (modules - height) / 2 < 9) return -1;
  return spareRepair(version, level, coveredByCentre(version, width, height)).spare;
}
