/**
 * Text -> segments (ISO/IEC 18004, 7.4): numeric, alphanumeric and byte mode, cut where the whole takes the fewest bits.
 * Text that is not ASCII is written as UTF-8 after an ECI designator 26, since readers may guess otherwise. Kanji mode is
 * left out: UTF-8 says the same to every reader.
 */
export const segmentModes = ['numeric', 'alphanumeric', 'byte'] as const;
export type SegmentMode = (typeof segmentModes)[number];

export interface Segment {
  readonly mode: SegmentMode;
  readonly text: string;
}

export interface Segmentation {
  /** UTF-8 is announced (ECI assignment 26). */
  readonly eci: boolean;
  readonly segments: readonly Segment[];
  /** Bits that all of it takes, without terminator. */
  readonly bits: number;
}

const alphanumeric = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ $%*+-./:';
/** Mode indicators (table 2). */
export const modeIndicator: Readonly<Record<SegmentMode, number>> = { numeric: 1, alphanumeric: 2, byte: 4 };
/** Bits of the character count in versions 1 to 9, 10 to 26, 27 to 40 (table 3). */
const countBits: Readonly<Record<SegmentMode, readonly [number, number, number]>> = { numeric: [10, 12, 14], alphanumeric: [9, 11, 13], byte: [8, 16, 16] };
/** Last versions of these ranges. */
export const rangeEnds = [9, 26, 40] as const;
/** Mode indicator and designator of one byte (7.4.2). */
const eciBits = 12;

export function rangeOf(version: number): 0 | 1 | 2 {
  return version <= rangeEnds[0] ? 0 : version <= rangeEnds[1] ? 1 : 2;
}

export function characterCountBits(mode: SegmentMode, version: number): number {
  return countBits[mode][rangeOf(version)];
}

export function alphanumericValue(character: string): number {
  return alphanumeric.indexOf(character);
}

/** Bits of the segment's data alone. */
export function dataBits({ mode, text }: Segment): number {
  switch (mode) {
    case 'numeric':
      return 10 * Math.floor(text.length / 3) + ([0, 4, 7][text.length % 3] ?? 0);
    case 'alphanumeric':
      return 11 * (text.length >> 1) + 6 * (text.length & 1);
    case 'byte':
      return 8 * utf8Length(text);
  }
}

/** Bytes of the text in UTF-8; half a surrogate pair counts as the replacement character that it becomes. */
export function utf8Length(text: string): number {
  let bytes = 0;
  for (const character of text) bytes += utf8LengthOf(character.codePointAt(0) ?? 0);
  return bytes;
}

function utf8LengthOf(codePoint: number): number {
  if (codePoint < 0x80) return 1;
  if (codePoint < 0x800) return 2;
  return codePoint < 0x10000 ? 3 : 4;
}

// Costs are counted in sixths of a bit, so that a digit (10/3 bits) and half a pair (11/2 bits) are whole numbers.
const unit = 6;
const digitCost = 20;
const alphanumericCost = 33;
const byteCost = 48;
const impossible = 1e12;
const [numericIndex, alphanumericIndex, byteIndex] = [0, 1, 2] as const;
/** By ASCII code: 2 for digits, 1 for the other characters of alphanumeric mode, 0 for the rest. */
const classes = Uint8Array.from({ length: 128 }, (_, code) => (code >= 48 && code <= 57 ? 2 : alphanumeric.includes(String.fromCharCode(code)) ? 1 : 0));

/** The segmentation with the fewest bits for the versions of a range (0: 1 to 9, 1: 10 to 26, 2: 27 to 40). */
export function segmentText(text: string, range: 0 | 1 | 2): Segmentation {
  const codePoints = Array.from(text, (character) => character.codePointAt(0) ?? 0);
  const eci = codePoints.some((code) => code > 127);
  const modes = cheapestModes(codePoints, range);
  const segments: Segment[] = [];
  for (let from = 0, at = 1; from < codePoints.length; at += 1) {
    if (at < codePoints.length && modes[at] === modes[from]) continue;
    segments.push({ mode: segmentModes[modes[from] as 0 | 1 | 2], text: String.fromCodePoint(...codePoints.slice(from, at)) });
    from = at;
  }
  return { eci, segments, bits: segments.reduce((sum, segment) => sum + 4 + countBits[segment.mode][range] + dataBits(segment), eci ? eciBits : 0) };
}

/** The mode of each character on the cheapest way: dynamic programming over three modes. A segment's end is rounded up to whole bits. */
function cheapestModes(codePoints: readonly number[], range: 0 | 1 | 2): Uint8Array {
  const heads = segmentModes.map((mode) => (4 + countBits[mode][range]) * unit);
  const cameFrom = new Uint8Array(codePoints.length * 3);
  const costs = Float64Array.from(heads);
  codePoints.forEach((code, index) => {
    const kind = code < 128 ? (classes[code] ?? 0) : 0;
    if (index > 0) switchModes(costs, heads, cameFrom.subarray(index * 3, index * 3 + 3));
    costs[numericIndex] = kind === 2 ? (costs[numericIndex] ?? 0) + digitCost : impossible;
    costs[alphanumericIndex] = kind > 0 ? (costs[alphanumericIndex] ?? 0) + alphanumericCost : impossible;
    costs[byteIndex] = (costs[byteIndex] ?? 0) + byteCost * utf8LengthOf(code);
  });
  return wayBack(costs, cameFrom, codePoints.length);
}

/** Before a character: each mode is entered from itself or, with a new head, from another one. */
function switchModes(costs: Float64Array, heads: readonly number[], cameFrom: Uint8Array): void {
  const ends = costs.map((cost) => Math.ceil(cost / unit) * unit);
  for (let mode = 0; mode < 3; mode += 1) {
    cameFrom[mode] = mode;
    for (let other = 0; other < 3; other += 1) {
      const cost = (ends[other] ?? 0) + (heads[mode] ?? 0);
      if (other === mode || cost >= (costs[mode] ?? 0)) continue;
      costs[mode] = cost;
      cameFrom[mode] = other;
    }
  }
}

function wayBack(costs: Float64Array, cameFrom: Uint8Array, length: number): Uint8Array {
  const ends = costs.map((cost) => Math.ceil(cost / unit));
  let mode = ends.indexOf(Math.min(...ends));
  const modes = new Uint8Array(length);
  for (let index = length - 1; index >= 0; index -= 1) {
    modes[index] = mode;
    mode = cameFrom[index * 3 + mode] ?? mode;
  }
  return modes;
}
