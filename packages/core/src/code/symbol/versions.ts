/**
 * Sizes and block structures of the 40 versions (ISO/IEC 18004:2015, tables 1 and 9, annex E). Only the error correction
 * codewords a block and the number of blocks are stored; everything else follows from them.
 */
export const errorCorrectionLevels = ['L', 'M', 'Q', 'H'] as const;
/** A level of ISO/IEC 18004, 7.5.1: L, M, Q, H. */
export type ErrorCorrectionLevel = (typeof errorCorrectionLevels)[number];

/** Of ISO/IEC 18004. */
export const largestVersion = 40;

/** Table 9, "number of error correction codewords" divided by "number of blocks", from version 1 on. */
const eccPerBlock: Readonly<Record<ErrorCorrectionLevel, readonly number[]>> = {
  L: [
    7, 10, 15, 20, 26, 18, 20, 24, 30, 18, 20, 24, 26, 30, 22, 24, 28, 30, 28, 28, 28, 28, 30, 30, 26, 28, 30, 30, 30,
    30, 30, 30, 30, 30, 30, 30, 30, 30, 30, 30,
  ],
  M: [
    10, 16, 26, 18, 24, 16, 18, 22, 22, 26, 30, 22, 22, 24, 24, 28, 28, 26, 26, 26, 26, 28, 28, 28, 28, 28, 28, 28, 28,
    28, 28, 28, 28, 28, 28, 28, 28, 28, 28, 28,
  ],
  Q: [
    13, 22, 18, 26, 18, 24, 18, 22, 20, 24, 28, 26, 24, 20, 30, 24, 28, 28, 26, 30, 28, 30, 30, 30, 30, 28, 30, 30, 30,
    30, 30, 30, 30, 30, 30, 30, 30, 30, 30, 30,
  ],
  H: [
    17, 28, 22, 16, 22, 28, 26, 26, 24, 28, 24, 28, 22, 24, 24, 30, 28, 28, 26, 28, 30, 24, 30, 30, 30, 30, 30, 30, 30,
    30, 30, 30, 30, 30, 30, 30, 30, 30, 30, 30,
  ],
};
/** Table 9, "number of error correction blocks". */
const blocks: Readonly<Record<ErrorCorrectionLevel, readonly number[]>> = {
  L: [
    1, 1, 1, 1, 1, 2, 2, 2, 2, 4, 4, 4, 4, 4, 6, 6, 6, 6, 7, 8, 8, 9, 9, 10, 12, 12, 12, 13, 14, 15, 16, 17, 18, 19, 19,
    20, 21, 22, 24, 25,
  ],
  M: [
    1, 1, 1, 2, 2, 4, 4, 4, 5, 5, 5, 8, 9, 9, 10, 10, 11, 13, 14, 16, 17, 17, 18, 20, 21, 23, 25, 26, 28, 29, 31, 33,
    35, 37, 38, 40, 43, 45, 47, 49,
  ],
  Q: [
    1, 1, 2, 2, 4, 4, 6, 6, 8, 8, 8, 10, 12, 16, 12, 17, 16, 18, 21, 20, 23, 23, 25, 27, 29, 34, 34, 35, 38, 40, 43, 45,
    48, 51, 53, 56, 59, 62, 65, 68,
  ],
  H: [
    1, 1, 2, 4, 4, 4, 5, 6, 8, 8, 11, 11, 16, 16, 18, 16, 19, 21, 25, 25, 25, 34, 30, 32, 35, 37, 40, 42, 45, 48, 51,
    54, 57, 60, 63, 66, 70, 74, 77, 81,
  ],
};

/** Modules a side, without the quiet zone. @throws RangeError unless version is a whole number from 1 to 40 */
export function modulesOf(version: number): number {
  if (!Number.isInteger(version) || version < 1 || version > largestVersion)
    throw new RangeError(`version must be 1 to 40, got ${version}`);
  return 17 + 4 * version;
}

/** Rows and columns of the centres of alignment patterns, ascending; none in version 1 (annex E). */
export function alignmentCentres(version: number): readonly number[] {
  if (version === 1) return [];
  const count = Math.floor(version / 7) + 2;
  const last = modulesOf(version) - 7;
  // Annex E spaces them evenly from the right, rounded up to even steps; version 32 alone departs from that.
  const step = version === 32 ? 26 : 2 * Math.ceil((last - 6) / (2 * (count - 1)));
  return [6, ...Array.from({ length: count - 1 }, (_, index) => last - step * (count - 2 - index))];
}

/** Codewords of a version, data and error correction together (table 1). */
export function codewordsOf(version: number): number {
  return codewords[version] ?? countCodewords(version);
}

function countCodewords(version: number): number {
  const modules = modulesOf(version);
  const centres = alignmentCentres(version).length;
  const alignment = centres === 0 ? 0 : (centres * centres - 3) * 25 - 2 * 5 * (centres - 2);
  const functionModules = 3 * 64 + 2 * (modules - 16) + alignment + 31 + (version >= 7 ? 36 : 0);
  return Math.floor((modules * modules - functionModules) / 8);
}

const codewords = [0, ...Array.from({ length: largestVersion }, (_, index) => countCodewords(index + 1))];

/** How data and error correction codewords are put into blocks. */
export interface BlockStructure {
  readonly blocks: number;
  readonly eccPerBlock: number;
  /** Data codewords of the short blocks, which come first; the long ones have one more. */
  readonly shortData: number;
  readonly shortBlocks: number;
  readonly dataCodewords: number;
}

/** Blocks of data and error correction codewords (ISO/IEC 18004, table 9). @param version 1 to 40 */
export function blockStructure(version: number, level: ErrorCorrectionLevel): BlockStructure {
  return (structures[level][version] ??= structureOf(version, level));
}

/** Asked for again and again while a size is looked for. */
const structures: Readonly<Record<ErrorCorrectionLevel, BlockStructure[]>> = { L: [], M: [], Q: [], H: [] };

function structureOf(version: number, level: ErrorCorrectionLevel): BlockStructure {
  const count = blocks[level][version - 1] ?? 0;
  const ecc = eccPerBlock[level][version - 1] ?? 0;
  const total = codewordsOf(version);
  const shortLength = Math.floor(total / count);
  return {
    blocks: count,
    eccPerBlock: ecc,
    shortData: shortLength - ecc,
    shortBlocks: count - (total % count),
    dataCodewords: total - ecc * count,
  };
}
