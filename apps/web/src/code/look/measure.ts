/** Widths of texts on this page, in the fonts that sheets use too. */
import type { MeasureText, SheetFont } from '@hapset/core';

const faces: Readonly<Record<SheetFont, string>> = {
  heading: '700 100px "Bricolage Grotesque Variable"',
  text: '400 100px "Atkinson Hyperlegible Next Variable"',
  'text-bold': '700 100px "Atkinson Hyperlegible Next Variable"',
  mono: '400 100px "Atkinson Hyperlegible Mono Variable"',
};
const pointMm = 25.4 / 72;
let canvas: CanvasRenderingContext2D | null = null;

/** Millimetres. */
export const measureOnPage: MeasureText = (text, font, sizePt) => {
  canvas ??= document.createElement('canvas').getContext('2d');
  if (!canvas) return 0;
  canvas.font = faces[font];
  return (canvas.measureText(text).width / 100) * sizePt * pointMm;
};
