/** What fits where: text against the data bits of versions and levels (ISO/IEC 18004, table 7). */
import {
  bitsOfLonger,
  bitsOfPrefixes,
  densestMode,
  rangeEnds,
  rangeOf,
  segmentText,
  type EndCosts,
  type Segmentation,
} from './segments.js';
import { blockStructure, largestVersion, type ErrorCorrectionLevel } from './versions.js';

/** The smallest version that holds a text, with its segments. */
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
    for (let version = first; version <= last; version += 1)
      if (holds(version, level, segmentation)) return { version, segmentation };
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

/** Whether a version has room for the segments at that level; false beyond version 40. */
export function holds(version: number, level: ErrorCorrectionLevel, { bits }: Segmentation): boolean {
  return version <= largestVersion && bits <= capacityBits(version, level);
}

/** Characters from the payload's begin that a version holds. */
export function longestPrefix(payload: string, version: number, level: ErrorCorrectionLevel): number {
  const bits = bitsOfPrefixes(payload, rangeOf(version));
  const capacity = capacityBits(version, level);
  let [count, units] = [0, 0];
  for (const character of payload) {
    units += character.length;
    if ((bits[units - 1] ?? 0) > capacity) return count;
    count += 1;
  }
  return count;
}

/** More than any symbol holds. */
const tooMany = 7090;

/** Characters of the payload's densest mode that a version takes after it. The payload itself must fit. @param ends its costs in the version's range, where they are known */
export function charactersThatFit(
  payload: string,
  version: number,
  level: ErrorCorrectionLevel,
  most = tooMany,
  ends?: EndCosts,
): number {
  const bits = bitsOfLonger(payload, rangeOf(version), densestMode(payload), ends);
  const capacity = capacityBits(version, level);
  let [fits, grows] = [0, most + 1];
  while (grows - fits > 1) {
    const middle = (fits + grows) >> 1;
    if (bits(middle) <= capacity) fits = middle;
    else grows = middle;
  }
  return fits;
}
