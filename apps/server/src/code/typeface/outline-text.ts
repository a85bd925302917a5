/** Text as outlines: what leaves the server as a picture looks the same wherever its fonts are missing. */
import type { SheetFont } from '@hapset/core';
import { fontOf } from './faces.js';
import { shapeLine, type ShapedRun } from './shaped-line.js';

export interface OutlineAt {
  /** Height of the letters' line, in whatever unit `x` and `baseline` have. */
  readonly size: number;
  /** Middle of the text. */
  readonly x: number;
  readonly baseline: number;
}

/** SVG path data, hanging down from the page's upper edge as paths do. */
export function outlineText(text: string, name: SheetFont, { size, x, baseline }: OutlineAt): string {
  const { runs, widthEm } = shapeLine(text, name);
  const left = x - (widthEm * size) / 2;
  return runs.map((run) => outlineRun(run, size, left + run.xEm * size, baseline)).join('');
}

/** @param x of the run's left edge */
export function outlineRun({ face, text }: ShapedRun, size: number, x: number, baseline: number): string {
  const font = fontOf(face);
  const scale = size / font.unitsPerEm;
  const { glyphs, positions } = font.layout(text, []);
  let left = x;
  return glyphs
    .map((glyph, index) => {
      const { xOffset = 0, yOffset = 0, xAdvance = 0 } = positions[index] ?? {};
      // Letters stand upright on their baseline, paths hang down from theirs.
      const path = glyph.path
        .transform(scale, 0, 0, -scale, left + xOffset * scale, baseline - yOffset * scale)
        .toSVG();
      left += xAdvance * scale;
      return path;
    })
    .join('');
}
