/**
 * The steps around a payload: how many characters each version still takes. Density moves in steps, so a character more
 * or less costs nothing until it costs a whole version; where the steps lie is what somebody who types must see.
 */
import { grainOf, type Grain } from './grain.js';
import { charactersThatFit, fitText, longestPrefix } from './fit.js';
import { largestVersion, modulesOf, type ErrorCorrectionLevel } from './versions.js';

/** A version with the characters that it holds. */
export interface GrowthStep {
  readonly version: number;
  readonly modules: number;
  readonly grain: Grain;
  /** The most characters that this version holds, when characters are taken from the payload's end or put there in its densest mode. */
  readonly upTo: number;
}

/** The steps around a payload. */
export interface GrowthSteps {
  /** Characters of the payload. */
  readonly characters: number;
  /** By version; neighbours hold different numbers of characters. */
  readonly steps: readonly GrowthStep[];
  /** Where among them the payload stands. */
  readonly now: number;
}

/** @returns null where no symbol holds the payload. @param before, after how many steps to look back and ahead */
export function growthSteps(
  payload: string,
  level: ErrorCorrectionLevel = 'M',
  before = 2,
  after = 2,
): GrowthSteps | null {
  const fit = payload === '' ? null : fitText(payload, level);
  if (fit === null) return null;
  const characters = [...payload].length;
  const [first, last] = [Math.max(1, fit.version - before), Math.min(largestVersion, fit.version + after)];
  const steps: GrowthStep[] = [];
  for (let version = first; version <= last; version += 1) {
    const upTo =
      version < fit.version
        ? longestPrefix(payload, version, level)
        : characters + charactersThatFit(payload, version, level);
    steps.push({ version, modules: modulesOf(version), grain: grainOf(version), upTo });
  }
  return { characters, steps, now: fit.version - first };
}
