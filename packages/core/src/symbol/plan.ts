/**
 * The QR code symbol of a payload after ISO/IEC 18004: planned at error correction level M in the smallest
 * version, then raised to the highest level that the same version still holds. The module matrix comes from the
 * `qrcode` package; callers see only SymbolPlan, so that what is behind it can be replaced.
 */
import { create } from 'qrcode/lib/core/qrcode.js';
import { from as levelFrom } from 'qrcode/lib/core/error-correction-level.js';
import { fromString } from 'qrcode/lib/core/segments.js';
import { getBestVersionForData } from 'qrcode/lib/core/version.js';
import { fail, succeed, type Result } from '../result.js';

export const errorCorrectionLevels = ['L', 'M', 'Q', 'H'] as const;
export type ErrorCorrectionLevel = (typeof errorCorrectionLevels)[number];

export interface SymbolPlan {
  readonly payload: string;
  /** 1 to 40 (ISO/IEC 18004, 5.3.1). */
  readonly version: number;
  /** Modules a side, without the quiet zone: 17 + 4 x version. */
  readonly modules: number;
  readonly level: ErrorCorrectionLevel;
  /** Data mask pattern, 0 to 7 (7.8.2). */
  readonly mask: number;
  /** Row by row, `modules` x `modules`; 1 = dark. */
  readonly matrix: Uint8Array;
  /** Characters of the payload's current mode that fit before the version grows, at level M; at most `growthLimit`. */
  readonly charactersUntilGrowth: number;
}

/** What can't be planned: nothing to encode, or more than version 40 holds. */
export type PlanProblem = { readonly reason: 'empty-payload' } | { readonly reason: 'payload-too-long'; readonly characters: number };

/** Quiet zone on each side in modules (ISO/IEC 18004, 5.3.8). */
export const quietZoneModules = 4;
/** How far `charactersUntilGrowth` looks ahead. */
export const growthLimit = 200;

/** Plans the symbol of a payload. */
export function planSymbol(payload: string): Result<SymbolPlan, PlanProblem> {
  if (typeof payload !== 'string') throw new TypeError(`payload must be a string, got ${typeof payload}`);
  if (payload === '') return fail({ reason: 'empty-payload' });
  const version = smallestVersion(payload, 'M');
  if (version === null) return fail({ reason: 'payload-too-long', characters: payload.length });
  const level = highestLevel(payload, version);
  const symbol = create(payload, { version, errorCorrectionLevel: level });
  return succeed({
    payload,
    version,
    modules: symbol.modules.size,
    level,
    mask: symbol.maskPattern ?? 0,
    matrix: Uint8Array.from(symbol.modules.data, (module) => (module ? 1 : 0)),
    charactersUntilGrowth: charactersUntilGrowth(payload, version),
  });
}

/** The smallest version that holds the payload at that level; null when none does. */
export function smallestVersion(payload: string, level: ErrorCorrectionLevel): number | null {
  // Segmentation depends on the widths of the character counts, which differ between three ranges of versions.
  for (const lastOfRange of [9, 26, 40]) {
    const version = getBestVersionForData(fromString(payload, lastOfRange), levelFrom(level));
    if (version !== undefined && version <= lastOfRange) return version;
  }
  return null;
}

function highestLevel(payload: string, version: number): ErrorCorrectionLevel {
  for (const level of ['H', 'Q'] as const) {
    if (smallestVersion(payload, level) === version) return level;
  }
  return 'M';
}

function charactersUntilGrowth(payload: string, version: number): number {
  const filler = fillerOf(payload);
  let fits = 0;
  let tooMany = growthLimit + 1;
  while (tooMany - fits > 1) {
    const middle = (fits + tooMany) >> 1;
    if (smallestVersion(payload + filler.repeat(middle), 'M') === version) fits = middle;
    else tooMany = middle;
  }
  return fits;
}

/** A character of the mode that the payload is in now: numeric, alphanumeric or byte (7.4.3 to 7.4.5). */
function fillerOf(payload: string): string {
  if (/^\d+$/.test(payload)) return '7';
  return /^[0-9A-Z $%*+\-./:]+$/.test(payload) ? 'A' : 'a';
}
