/**
 * The QR code symbol of a payload after ISO/IEC 18004: planned at error correction level M in the smallest version, then
 * raised to the highest level that the same version still holds.
 */
import { fail, succeed, type Result } from '../result.js';
import { encodeSymbol } from './encode.js';
import { bitsOfLonger, densestMode, rangeEnds, rangeOf, segmentText, type Segmentation } from './segments.js';
import { blockStructure, largestVersion, type ErrorCorrectionLevel } from './versions.js';

export { errorCorrectionLevels, type ErrorCorrectionLevel } from './versions.js';

export interface SymbolPlan {
  readonly payload: string;
  /** 1 to 40 (ISO/IEC 18004, 5.3.1). */
  readonly version: number;
  /** Modules a side, without the quiet zone: 17 + 4 x version. */
  readonly modules: number;
  readonly level: ErrorCorrectionLevel;
  /** Data mask pattern, 0 to 7 (7.8.2). */
  readonly mask: number;
  readonly segmentation: Segmentation;
  /** Row by row, `modules` x `modules`; 1 = dark. */
  readonly matrix: Uint8Array;
  /** Characters of the payload's current mode that fit before the version grows, at the planned level; at most `growthLimit`. */
  readonly charactersUntilGrowth: number;
}

/** What can't be planned: nothing to encode, or more than version 40 holds. */
export type PlanProblem = { readonly reason: 'empty-payload' } | { readonly reason: 'payload-too-long'; readonly characters: number };

/** Quiet zone on each side in modules (ISO/IEC 18004, 5.3.8). */
export const quietZoneModules = 4;
/** How far `charactersUntilGrowth` looks ahead. */
export const growthLimit = 200;

/** Plans the symbol of a payload. @param chosen a level chosen by hand: then it is planned at that and not raised */
export function planSymbol(payload: string, chosen?: ErrorCorrectionLevel): Result<SymbolPlan, PlanProblem> {
  if (typeof payload !== 'string') throw new TypeError(`payload must be a string, got ${typeof payload}`);
  if (payload === '') return fail({ reason: 'empty-payload' });
  const fit = fitText(payload, chosen ?? 'M');
  if (fit === null) return fail({ reason: 'payload-too-long', characters: payload.length });
  const level = chosen ?? highestLevel(fit);
  const { mask, modules, matrix } = encodeSymbol(fit.segmentation, fit.version, level);
  return succeed({ payload, version: fit.version, modules, level, mask, segmentation: fit.segmentation, matrix, charactersUntilGrowth: charactersUntilGrowth(payload, fit.version, chosen ?? 'M') });
}

/**
 * Characters to remove from the end for the next smaller version at the level that it was planned at; null at version 1,
 * where nothing gets smaller. Removing fewer changes nothing.
 */
export function charactersToShrink({ payload, version }: SymbolPlan, level: ErrorCorrectionLevel = 'M'): number | null {
  if (version === 1) return null;
  const characters = [...payload];
  const shrinks = (fewer: number): boolean => (smallestVersion(characters.slice(0, characters.length - fewer).join(''), level) ?? version) < version;
  let [tooFew, enough] = [0, characters.length];
  while (enough - tooFew > 1) {
    const middle = (tooFew + enough) >> 1;
    if (shrinks(middle)) enough = middle;
    else tooFew = middle;
  }
  return enough;
}

export interface Fit {
  readonly version: number;
  readonly segmentation: Segmentation;
}

/** The smallest version that holds the text at that level, with its segments; null when none does. */
export function fitText(text: string, level: ErrorCorrectionLevel): Fit | null {
  // Segmentation depends on the widths of the character counts, which differ between three ranges of versions.
  let first = 1;
  for (const last of rangeEnds) {
    const segmentation = segmentText(text, rangeOf(last));
    for (let version = first; version <= last; version += 1) if (holds(version, level, segmentation)) return { version, segmentation };
    first = last + 1;
  }
  return null;
}

/** The smallest version that holds the payload at that level; null when none does. */
export function smallestVersion(payload: string, level: ErrorCorrectionLevel): number | null {
  return fitText(payload, level)?.version ?? null;
}

/** Data bits that a version holds at a level. */
export function capacityBits(version: number, level: ErrorCorrectionLevel): number {
  return blockStructure(version, level).dataCodewords * 8;
}

function holds(version: number, level: ErrorCorrectionLevel, { bits }: Segmentation): boolean {
  return version <= largestVersion && bits <= capacityBits(version, level);
}

function highestLevel({ version, segmentation }: Fit): ErrorCorrectionLevel {
  return (['H', 'Q'] as const).find((level) => holds(version, level, segmentation)) ?? 'M';
}

function charactersUntilGrowth(payload: string, version: number, level: ErrorCorrectionLevel): number {
  const bits = bitsOfLonger(payload, rangeOf(version), densestMode(payload));
  const fitsStill = (more: number): boolean => bits(more) <= capacityBits(version, level);
  let fits = 0;
  let tooMany = growthLimit + 1;
  while (tooMany - fits > 1) {
    const middle = (fits + tooMany) >> 1;
    if (fitsStill(middle)) fits = middle;
    else tooMany = middle;
  }
  return fits;
}
