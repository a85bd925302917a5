/**
 * The QR code symbol of a payload after ISO/IEC 18004: planned at error correction level M in the smallest version, then
 * raised to the highest level that the same version still holds.
 */
import { fail, succeed, type Result } from '../../platform/result.js';
import { encodeSymbol } from './encode.js';
import { charactersThatFit, fitText, holds, longestPrefix, type Fit } from './fit.js';
import type { Segmentation } from './segments.js';
import type { ErrorCorrectionLevel } from './versions.js';

export { errorCorrectionLevels, type ErrorCorrectionLevel } from './versions.js';

/** A symbol: its version, level and mask, and each module. `matrix` is row by row, 1 is dark. */
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
export type PlanProblem =
  { readonly reason: 'empty-payload' } | { readonly reason: 'payload-too-long'; readonly characters: number };

/** Quiet zone on each side in modules (ISO/IEC 18004, 5.3.8). */
export const quietZoneModules = 4;
/** How far `charactersUntilGrowth` looks ahead. */
export const growthLimit = 200;

/** Plans the symbol of a payload. @param chosen a level chosen by hand: then it is planned at that and not raised */
export function planSymbol(payload: string, chosen?: ErrorCorrectionLevel): Result<SymbolPlan, PlanProblem> {
  const size = chooseSize(payload, chosen);
  if (!size.ok) return size;
  const { version, level, segmentation } = size.value;
  const { mask, modules, matrix } = encodeSymbol(segmentation, version, level);
  return succeed({
    payload,
    version,
    modules,
    level,
    mask,
    segmentation,
    matrix,
    charactersUntilGrowth: untilGrowth(payload, size.value, chosen),
  });
}

/** Version and level of a symbol that is not drawn. */
export interface SymbolSize extends Fit {
  readonly level: ErrorCorrectionLevel;
}

/** Version and level alone, where no modules are needed. */
export function chooseSize(payload: string, chosen?: ErrorCorrectionLevel): Result<SymbolSize, PlanProblem> {
  if (typeof payload !== 'string') throw new TypeError(`payload must be a string, got ${typeof payload}`);
  if (payload === '') return fail({ reason: 'empty-payload' });
  const fit = fitText(payload, chosen ?? 'M');
  if (fit === null) return fail({ reason: 'payload-too-long', characters: payload.length });
  return succeed({ ...fit, level: chosen ?? highestLevel(fit) });
}

/** Characters of the payload's densest mode that still fit at the level that it was planned at; at most `growthLimit`. */
export function untilGrowth(
  payload: string,
  { version, segmentation }: Fit,
  chosen: ErrorCorrectionLevel = 'M',
): number {
  return charactersThatFit(payload, version, chosen, growthLimit, segmentation.ends);
}

/**
 * Characters to remove from the end for the next smaller version at the level that it was planned at; null at version 1,
 * where nothing gets smaller. Removing fewer changes nothing.
 */
export function charactersToShrink(
  { payload, version }: Pick<SymbolPlan, 'payload' | 'version'>,
  level: ErrorCorrectionLevel = 'M',
): number | null {
  return version === 1 ? null : [...payload].length - longestPrefix(payload, version - 1, level);
}

function highestLevel({ version, segmentation }: Fit): ErrorCorrectionLevel {
  return (['H', 'Q'] as const).find((level) => holds(version, level, segmentation)) ?? 'M';
}
