/**
 * A code as a flatbed scanner sees it: flat, straight, in even light, without noise. An engine that can't read that will
 * read it nowhere, whatever another engine makes of it.
 */
import { requirePositive } from '../../platform/units.js';
import { sharpPrint } from './blurred-print.js';
import { printFor, type PrintedCode } from './print.js';
import { levelsOf, type GreyFrame } from './sensor.js';

/** Dots an inch. */
export const flatDpi = 150;
/** Pixels a module: more tell an engine nothing new, and take it time. */
const mostPixels = 10;
const mmPerInch = 25.4;

/** @param sizeMm side of the symbol without quiet zone @throws RangeError for a size that is not above 0 */
export function flatFrame(code: PrintedCode, sizeMm: number): GreyFrame {
  requirePositive('sizeMm', sizeMm);
  const pixels = (sizeMm / mmPerInch) * flatDpi;
  const perModule = Math.min(mostPixels, Math.max(1, Math.floor(pixels / code.modules)));
  const { side, light } = sharpPrint(printFor(code, 'laser'), perModule, 0);
  const grey = Uint8Array.from(levelsOf(light, new Float32Array(light.length)), Math.round);
  return { widthPx: side, heightPx: side, grey };
}
