/**
 * Text -> segments (ISO/IEC 18004, 7.4): numeric, alphanumeric and byte mode, cut where the whole takes the fewest bits.
 * Text that is not ASCII is written as UTF-8 after an ECI designator 26, since readers may guess otherwise. Kanji mode is
 * left out: UTF-8 says the same to every reader.
 */
export const segmentModes = ['numeric', 'alphanumeric', 'byte'] as const;
/** A mode of ISO/IEC 18004, 7.3. */
export type SegmentMode = (typeof segmentModes)[number];

/** Characters that are encoded in one mode. */
export interface Segment {
  readonly mode: SegmentMode;
  readonly text: string;
}

/** A payload in segments, with the bits that they take. */
export interface Segmentation {
  /** UTF-8 is announced (ECI assignment 26). */
  readonly eci: boolean;
  readonly segments: readonly Segment[];
  /** Bits that all of it takes, without terminator. */
  readonly bits: number;
  /** From where longer texts go on. */
  readonly ends: EndCosts;
}

const alphanumeric = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ $%*+-./:';
/** Mode indicators (table 2). */
export const modeIndicator: Readonly<Record<SegmentMode, number>> = { numeric: 1, alphanumeric: 2, byte: 4 };
/** Bits of the character count in versions 1 to 9, 10 to 26, 27 to 40 (table 3). */
const countBits: Readonly<Record<SegmentMode, readonly [number, number, number]>> = {
  numeric: [10, 12, 14],
  alphanumeric: [9, 11, 13],
  byte: [8, 16, 16],
};
/** Last versions of these ranges. */
export const rangeEnds = [9, 26, 40] as const;
/** Mode indicator and designator of one byte (7.4.2). */
const eciBits = 12;

/**
 * Which of the three ranges of versions have the same character count indicators (ISO/IEC 18004, table 3).
 * @param version 1 to 40
 */
export function rangeOf(version: number): 0 | 1 | 2 {
  return version <= rangeEnds[0] ? 0 : version <= rangeEnds[1] ? 1 : 2;
}

/** Length of the character count indicator, bits (ISO/IEC 18004, table 3). */
export function characterCountBits(mode: SegmentMode, version: number): number {
  return countBits[mode][rangeOf(version)];
}

/** The densest mode that holds every character of the text. */
export function densestMode(text: string): SegmentMode {
  let least = 2;
  for (let index = 0; index < text.length && least > 0; index += 1)
    least = Math.min(least, classes[text.charCodeAt(index)] ?? 0);
  return least === 2 ? 'numeric' : least === 1 ? 'alphanumeric' : 'byte';
}

/** 0 to 44, -1 for what alphanumeric mode does not hold (ISO/IEC 18004, table 5). */
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
/** By ASCII code: 2 for digits, 1 for the other characters of alphanumeric mode, 0 for the rest. */
const classes = Uint8Array.from({ length: 128 }, (_, code) =>
  code >= 48 && code <= 57 ? 2 : alphanumeric.includes(String.fromCharCode(code)) ? 1 : 0,
);

/** The segmentation with the fewest bits for the versions of a range (0: 1 to 9, 1: 10 to 26, 2: 27 to 40). */
export function segmentText(text: string, range: 0 | 1 | 2): Segmentation {
  const modes = new Uint8Array(text.length);
  const ends = wayBack(text, range, modes);
  const eci = notAscii.test(text);
  const segments: Segment[] = [];
  for (let from = 0, at = 1; from < text.length; at += 1) {
    if (at < text.length && modes[at] === modes[from]) continue;
    segments.push({ mode: segmentModes[modes[from] as 0 | 1 | 2], text: text.slice(from, at) });
    from = at;
  }
  return {
    eci,
    segments,
    bits: segments.reduce(
      (sum, segment) => sum + 4 + countBits[segment.mode][range] + dataBits(segment),
      eci ? eciBits : 0,
    ),
    ends,
  };
}

const notAscii = /\P{ASCII}/u;

/** Costs of the cheapest way to the end of a text by the mode in which it ends, in units. */
export interface EndCosts {
  readonly numeric: number;
  readonly alphanumeric: number;
  readonly byte: number;
}

/**
 * Dynamic programming over three modes: before each character a mode is entered from itself or, with a new head, from
 * another one, whose end is rounded up to whole bits. `cameFrom` takes two bits a mode for each character, `ends` the bits
 * of the text up to there.
 */
// One loop on purpose: calls inside would cost a third of the time of every symbol that is planned while one types.
// eslint-disable-next-line complexity
function endCosts(
  text: string,
  range: 0 | 1 | 2,
  cameFrom: Uint8Array | null,
  ends: Float64Array | null = null,
): EndCosts {
  const [headN, headA, headB] = headsOf(range);
  let [n, a, b] = [headN, headA, headB];
  for (let index = 0; index < text.length; index += 1) {
    const code = text.charCodeAt(index);
    if (index > 0) {
      const [endN, endA, endB] = [wholeBits(n), wholeBits(a), wholeBits(b)];
      let from = 0b100100; // byte from byte, alphanumeric from alphanumeric, numeric from numeric
      const [fromA, fromB] = [endA + headN, endB + headN];
      if (fromA < n && fromA <= fromB) [n, from] = [fromA, from | 1];
      else if (fromB < n) [n, from] = [fromB, from | 2];
      const [toAFromN, toAFromB] = [endN + headA, endB + headA];
      if (toAFromN < a && toAFromN <= toAFromB) [a, from] = [toAFromN, from & ~0b1100];
      else if (toAFromB < a) [a, from] = [toAFromB, (from & ~0b1100) | 0b1000];
      const [toBFromN, toBFromA] = [endN + headB, endA + headB];
      if (toBFromN < b && toBFromN <= toBFromA) [b, from] = [toBFromN, from & ~0b110000];
      else if (toBFromA < b) [b, from] = [toBFromA, (from & ~0b110000) | 0b010000];
      if (cameFrom) cameFrom[index] = from;
    }
    const kind = code < 128 ? (classes[code] ?? 0) : 0;
    n = kind === 2 ? n + digitCost : impossible;
    a = kind > 0 ? a + alphanumericCost : impossible;
    b += byteCost * utf8LengthOfUnit(text, index, code);
    if (ends) ends[index] = wholeBits(Math.min(n, a, b)) / unit;
  }
  return { numeric: n, alphanumeric: a, byte: b };
}

function headsOf(range: 0 | 1 | 2): readonly [number, number, number] {
  return [
    (4 + countBits.numeric[range]) * unit,
    (4 + countBits.alphanumeric[range]) * unit,
    (4 + countBits.byte[range]) * unit,
  ];
}

function wholeBits(cost: number): number {
  return Math.ceil(cost / unit) * unit;
}

/** Bytes that a unit of UTF-16 adds: the first half of a pair adds all four of its character, the second none. */
function utf8LengthOfUnit(text: string, index: number, unitCode: number): number {
  if (unitCode < 0x80) return 1;
  if (unitCode < 0x800) return 2;
  if (unitCode < 0xd800 || unitCode > 0xdfff) return 3;
  if (unitCode < 0xdc00) return isSecondHalf(text.charCodeAt(index + 1)) ? 4 : 3;
  const before = index > 0 ? text.charCodeAt(index - 1) : 0;
  return before >= 0xd800 && before < 0xdc00 ? 0 : 3;
}

function isSecondHalf(unitCode: number): boolean {
  return unitCode >= 0xdc00 && unitCode <= 0xdfff;
}

function wayBack(text: string, range: 0 | 1 | 2, modes: Uint8Array): EndCosts {
  const cameFrom = new Uint8Array(text.length);
  const costs = endCosts(text, range, cameFrom);
  const ends = [wholeBits(costs.numeric), wholeBits(costs.alphanumeric), wholeBits(costs.byte)];
  let mode = ends.indexOf(Math.min(...ends));
  for (let index = text.length - 1; index >= 0; index -= 1) {
    modes[index] = mode;
    mode = index > 0 ? ((cameFrom[index] ?? 0) >> (mode * 2)) & 3 : mode;
  }
  return costs;
}

/** Bits of the text up to each of its UTF-16 units, that one included. */
export function bitsOfPrefixes(text: string, range: 0 | 1 | 2): Float64Array {
  const ends = new Float64Array(text.length);
  endCosts(text, range, null, ends);
  const announced = text.search(notAscii);
  if (announced >= 0)
    for (let index = announced; index < ends.length; index += 1) ends[index] = (ends[index] ?? 0) + eciBits;
  return ends;
}

/**
 * Bits of the text with `more` characters of one kind after it, for any `more` at once: within characters of one kind no
 * cheapest way changes its mode more than once.
 * @param costs of the text itself, where they are known
 * @param kind which modes hold the character: digits fit into all three, capitals into two, letters into bytes alone
 */
export function bitsOfLonger(
  text: string,
  range: 0 | 1 | 2,
  kind: SegmentMode,
  costs = endCosts(text, range, null),
): (more: number) => number {
  const [headN, headA, headB] = headsOf(range);
  const eci = notAscii.test(text) ? eciBits : 0;
  const ways = [
    { stay: costs.numeric, head: headN, cost: digitCost, fits: kind === 'numeric' },
    { stay: costs.alphanumeric, head: headA, cost: alphanumericCost, fits: kind !== 'byte' },
    { stay: costs.byte, head: headB, cost: byteCost, fits: true },
  ];
  const cheapestEnd = Math.min(...ways.map(({ stay }) => wholeBits(stay)));
  return (more) => {
    if (more === 0) return cheapestEnd / unit + eci;
    const totals = ways
      .filter(({ fits }) => fits)
      .map(({ stay, head, cost }) => Math.min(stay, cheapestEnd + head) + more * cost);
    return wholeBits(Math.min(...totals.map(wholeBits))) / unit + eci;
  };
}
