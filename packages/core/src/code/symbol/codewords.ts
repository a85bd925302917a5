/** Segments -> the codewords of a symbol in the order in which they are placed (ISO/IEC 18004, 7.4 to 7.6). */
import { writeErrorCorrection } from './reed-solomon.js';
import {
  alphanumericValue,
  characterCountBits,
  modeIndicator,
  utf8Length,
  type Segment,
  type Segmentation,
} from './segments.js';
import { blockStructure, codewordsOf, type BlockStructure, type ErrorCorrectionLevel } from './versions.js';

/** UTF-8 in the register of ECI assignments. */
const utf8Assignment = 26;
const eciIndicator = 7;
const utf8 = new TextEncoder();

/** @throws RangeError when the segments don't fit */
export function writeCodewords(segmentation: Segmentation, version: number, level: ErrorCorrectionLevel): Uint8Array {
  const structure = blockStructure(version, level);
  if (segmentation.bits > structure.dataCodewords * 8)
    throw new RangeError(`${segmentation.bits} bits don't fit into version ${version} at level ${level}`);
  return interleave(writeData(segmentation, version, structure.dataCodewords), structure, codewordsOf(version));
}

class Bits {
  readonly bytes: Uint8Array;
  private length = 0;

  constructor(codewords: number) {
    this.bytes = new Uint8Array(codewords);
  }

  write(value: number, count: number): void {
    for (let left = count; left > 0;) {
      const free = 8 - (this.length & 7);
      const taken = Math.min(free, left);
      const part = (value >>> (left - taken)) & ((1 << taken) - 1);
      const at = this.length >> 3;
      this.bytes[at] = (this.bytes[at] ?? 0) | (part << (free - taken));
      this.length += taken;
      left -= taken;
    }
  }

  /** Terminator, zeros up to a whole codeword, and pad codewords to the end (7.4.10). */
  pad(): void {
    this.length = Math.min(this.length + 4, this.bytes.length * 8);
    this.length = (this.length + 7) & ~7;
    for (let at = this.length >> 3, even = true; at < this.bytes.length; at += 1, even = !even)
      this.bytes[at] = even ? 0xec : 0x11;
  }
}

function writeData({ eci, segments }: Segmentation, version: number, dataCodewords: number): Uint8Array {
  const bits = new Bits(dataCodewords);
  if (eci) {
    bits.write(eciIndicator, 4);
    bits.write(utf8Assignment, 8);
  }
  for (const segment of segments) writeSegment(bits, segment, version);
  bits.pad();
  return bits.bytes;
}

function writeSegment(bits: Bits, { mode, text }: Segment, version: number): void {
  bits.write(modeIndicator[mode], 4);
  bits.write(mode === 'byte' ? utf8Length(text) : text.length, characterCountBits(mode, version));
  switch (mode) {
    case 'numeric':
      for (let at = 0; at < text.length; at += 3) {
        const digits = text.slice(at, at + 3);
        bits.write(Number(digits), 1 + digits.length * 3);
      }
      return;
    case 'alphanumeric':
      for (let at = 0; at < text.length; at += 2) {
        const first = alphanumericValue(text[at] ?? '');
        if (at + 1 < text.length) bits.write(first * 45 + alphanumericValue(text[at + 1] ?? ''), 11);
        else bits.write(first, 6);
      }
      return;
    case 'byte':
      for (const byte of utf8.encode(text)) bits.write(byte, 8);
  }
}

/** First codewords of all blocks, then the second ones, ...; data before error correction (7.6). */
function interleave(
  data: Uint8Array,
  { blocks, eccPerBlock, shortData, shortBlocks, dataCodewords }: BlockStructure,
  total: number,
): Uint8Array {
  const result = new Uint8Array(total);
  const ecc = new Uint8Array(eccPerBlock);
  for (let block = 0, from = 0; block < blocks; block += 1) {
    const length = shortData + (block < shortBlocks ? 0 : 1);
    const own = data.subarray(from, from + length);
    for (let at = 0, to = block; at < shortData; at += 1, to += blocks) result[to] = own[at] ?? 0;
    if (length > shortData)
      result[dataPosition(shortData, block, blocks, shortData, shortBlocks)] = own[shortData] ?? 0;
    writeErrorCorrection(own, ecc);
    for (let at = 0; at < eccPerBlock; at += 1) result[dataCodewords + at * blocks + block] = ecc[at] ?? 0;
    from += length;
  }
  return result;
}

/** Short blocks have no codeword in the last round. */
function dataPosition(at: number, block: number, blocks: number, shortData: number, shortBlocks: number): number {
  return at < shortData ? at * blocks + block : shortData * blocks + block - shortBlocks;
}

/** To which block each codeword belongs, in the order of placement: what a covered module costs, spare repair must know. */
export function blockOfCodeword(version: number, level: ErrorCorrectionLevel): Uint8Array {
  const { blocks, shortData, shortBlocks, dataCodewords, eccPerBlock } = blockStructure(version, level);
  const owners = new Uint8Array(codewordsOf(version));
  for (let block = 0; block < blocks; block += 1) {
    const length = shortData + (block < shortBlocks ? 0 : 1);
    for (let at = 0; at < length; at += 1) owners[dataPosition(at, block, blocks, shortData, shortBlocks)] = block;
    for (let at = 0; at < eccPerBlock; at += 1) owners[dataCodewords + at * blocks + block] = block;
  }
  return owners;
}
