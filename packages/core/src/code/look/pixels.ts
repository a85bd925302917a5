/** A code of two colours as pixels, every module on whole ones: what needs no drawing program, and no grey at any edge. */
import { quietZoneModules, type SymbolPlan } from '../symbol/plan.js';
import type { LookDesign } from './look.js';

/** Nothing but squares in two colours: then a bit a pixel says everything. */
export function isTwoColours({ inkTo, modules, finders, centre, caption, frame }: LookDesign): boolean {
  return (
    inkTo === null &&
    modules === 'plain' &&
    finders === 'plain' &&
    centre === null &&
    caption === null &&
    frame === null
  );
}

/**
 * One bit a pixel with the quiet zone, rows padded to whole bytes; 1 = ink.
 * @param pixelsPerModule whole number from 1
 */
export function codeBits(
  { modules, matrix }: Pick<SymbolPlan, 'modules' | 'matrix'>,
  pixelsPerModule: number,
): { readonly sidePx: number; readonly bytesPerRow: number; readonly bits: Uint8Array } {
  requireWhole(pixelsPerModule);
  const sidePx = (modules + 2 * quietZoneModules) * pixelsPerModule;
  const bytesPerRow = Math.ceil(sidePx / 8);
  const bits = new Uint8Array(bytesPerRow * sidePx);
  for (let row = 0; row < modules; row += 1) {
    const first = (row + quietZoneModules) * pixelsPerModule * bytesPerRow;
    for (let column = 0; column < modules; column += 1) {
      if (matrix[row * modules + column] !== 1) continue;
      const from = (column + quietZoneModules) * pixelsPerModule;
      for (let x = from; x < from + pixelsPerModule; x += 1)
        bits[first + (x >> 3)] = (bits[first + (x >> 3)] as number) | (0x80 >> (x & 7));
    }
    for (let copy = 1; copy < pixelsPerModule; copy += 1)
      bits.copyWithin(first + copy * bytesPerRow, first, first + bytesPerRow);
  }
  return { sidePx, bytesPerRow, bits };
}

/** Grey pixels with the quiet zone: 0 for ink, 255 for ground. @param pixelsPerModule whole number from 1 */
export function codePixels(
  plan: Pick<SymbolPlan, 'modules' | 'matrix'>,
  pixelsPerModule: number,
): { readonly widthPx: number; readonly grey: Uint8Array } {
  const { sidePx, bytesPerRow, bits } = codeBits(plan, pixelsPerModule);
  const grey = new Uint8Array(sidePx * sidePx).fill(255);
  for (let y = 0; y < sidePx; y += 1) {
    for (let x = 0; x < sidePx; x += 1)
      if (((bits[y * bytesPerRow + (x >> 3)] as number) & (0x80 >> (x & 7))) !== 0) grey[y * sidePx + x] = 0;
  }
  return { widthPx: sidePx, grey };
}

function requireWhole(pixelsPerModule: number): void {
  if (!Number.isInteger(pixelsPerModule) || pixelsPerModule < 1)
    throw new RangeError(`pixelsPerModule must be a whole number from 1, got ${pixelsPerModule}`);
}
