/** The code as a picture file: SVG in millimetres, PNG with whole pixels a module. */
import { codePixels, quietZoneModules, type SymbolPlan } from '@hapset/core';
import { PNG } from 'pngjs';

/** Wanted width of the whole picture, quiet zone included. */
const wantedWidthPx = 1200;

export function codePng(plan: SymbolPlan): Buffer {
  const pixelsPerModule = Math.max(1, Math.round(wantedWidthPx / (plan.modules + 2 * quietZoneModules)));
  const { widthPx, grey } = codePixels(plan, pixelsPerModule);
  const png = new PNG({ width: widthPx, height: widthPx, colorType: 0, inputColorType: 0, bitDepth: 8, inputHasAlpha: false });
  png.data = Buffer.from(grey);
  return PNG.sync.write(png, { width: widthPx, height: widthPx, colorType: 0, inputColorType: 0, bitDepth: 8, inputHasAlpha: false } as never);
}
