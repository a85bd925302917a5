/**
 * A PNG of two colours with one bit a pixel and its density (W3C PNG, third edition). Written here because libraries take a
 * byte a pixel first: a poster's code at 600 dots an inch would pass through thirty megabytes for three kilobytes.
 */
import { crc32, deflateSync } from 'node:zlib';
import { codeBits, type SymbolPlan } from '@hapset/core';

export interface PngBits {
  readonly pixelsPerModule: number;
  /** `#rrggbb`. */
  readonly ink: string;
  readonly ground: string;
  /** Pixels a metre; null says nothing. */
  readonly density: number | null;
}

const signature = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
const indexed = 3;
const metre = 1;
/** Each row is the difference to the one above: rows of one module are the same. */
const up = 2;

export function pngOfBits(
  plan: Pick<SymbolPlan, 'modules' | 'matrix'>,
  { pixelsPerModule, ink, ground, density }: PngBits,
): Buffer {
  const { sidePx, bytesPerRow, bits } = codeBits(plan, pixelsPerModule);
  const rows = Buffer.alloc((bytesPerRow + 1) * sidePx);
  for (let y = 0; y < sidePx; y += 1) {
    const at = y * (bytesPerRow + 1);
    rows[at] = up;
    // Within a module rows repeat: their difference is nought already.
    if (y % pixelsPerModule !== 0) continue;
    const [own, above] = [y * bytesPerRow, (y - 1) * bytesPerRow];
    for (let byte = 0; byte < bytesPerRow; byte += 1)
      rows[at + 1 + byte] = ((bits[own + byte] as number) - (y === 0 ? 0 : (bits[above + byte] as number))) & 0xff;
  }
  const header = Buffer.alloc(13);
  header.writeUInt32BE(sidePx, 0);
  header.writeUInt32BE(sidePx, 4);
  header.set([1, indexed, 0, 0, 0], 8);
  const palette = Buffer.from(ground.slice(1) + ink.slice(1), 'hex');
  return Buffer.concat([
    signature,
    chunk('IHDR', header),
    ...(density === null ? [] : [chunk('pHYs', densityBytes(density))]),
    chunk('PLTE', palette),
    chunk('IDAT', deflateSync(rows)),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

function densityBytes(density: number): Buffer {
  const bytes = Buffer.alloc(9);
  bytes.writeUInt32BE(Math.round(density), 0);
  bytes.writeUInt32BE(Math.round(density), 4);
  bytes[8] = metre;
  return bytes;
}

function chunk(type: string, data: Buffer): Buffer {
  const whole = Buffer.alloc(12 + data.length);
  whole.writeUInt32BE(data.length, 0);
  whole.write(type, 4, 'latin1');
  data.copy(whole, 8);
  whole.writeUInt32BE(crc32(whole.subarray(4, 8 + data.length)), 8 + data.length);
  return whole;
}
