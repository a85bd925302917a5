/** A page of sheets as SVG, with its text as outlines: the preview, the browser's own print, and what pictures of pages are made of. */
import { drawingElements, type PageBand, type PageTapSign, type PageText, type SheetPage } from '@hapset/core';
import { outlined } from '../picture/outlined.js';
import type { PictureBytes } from '../picture/draw-pdf.js';
import { outlineRun } from '../../code/typeface/outline-text.js';
import { accentOf, bandShape, lineColours, lineWidthsMm, outlineMm, toneColour } from './sheet-colours.js';
import { pictureId, type Drawable, type SheetOrder } from './sheet-order.js';
import { placedLines } from './sheet-pdf.js';
import { tapSignLine, tapSignScale, tapSignStrokes } from './tap-sign.js';

const pointMm = 25.4 / 72;

export function drawSheetSvg(
  page: SheetPage,
  { composition, drawingOf }: Drawable,
  order: Pick<SheetOrder, 'han' | 'contents'>,
  pictures: PictureBytes,
): string {
  const { header } = composition.setup.design;
  const address = (id: string): string | null => {
    const bytes = pictures.get(id);
    // Photos are JPEG, all else is PNG.
    const type = bytes?.[0] === 0xff ? 'jpeg' : 'png';
    return bytes ? `data:image/${type};base64,${Buffer.from(bytes).toString('base64')}` : null;
  };
  const parts = [
    ...page.bands.map((band) => bandElement(band, accentOf(composition, band.item))),
    ...page.lines.map(
      ({ from, to, kind }) =>
        `<path d="M${round(from[0])} ${round(from[1])}L${round(to[0])} ${round(to[1])}" stroke="${lineColours[kind]}" stroke-width="${lineWidthsMm[kind]}"${kind === 'fold' ? ' stroke-dasharray="2 1.5"' : ''}/>`,
    ),
    ...page.tapSigns.map(tapSignElement),
    ...page.pictures.map((picture) => {
      const href = address(pictureId(picture, order.contents, header) ?? '');
      return href === null
        ? ''
        : `<image${turn(picture, picture.turned)} x="${round(picture.xMm)}" y="${round(picture.yMm)}" width="${round(picture.widthMm)}" height="${round(picture.heightMm)}" href="${href}"/>`;
    }),
    ...page.texts.map((text) => textElement(text, accentOf(composition, text.item), order)),
    ...page.codes.map((code, index) => {
      const drawing = drawingOf(code.item);
      const box = { xMm: code.xMm, yMm: code.yMm, widthMm: code.sizeMm, heightMm: code.sizeMm };
      return drawing
        ? `<g${turn(box, code.turned)}><g transform="translate(${round(code.xMm)} ${round(code.yMm)}) scale(${code.sizeMm / drawing.modules})">${drawingElements(outlined(drawing), `c${index}-`, address)}</g></g>`
        : '';
    }),
  ];
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${round(page.widthMm)}mm" height="${round(page.heightMm)}mm" viewBox="0 0 ${round(page.widthMm)} ${round(page.heightMm)}"><rect width="100%" height="100%" fill="#ffffff"/>${parts.join('')}</svg>`;
}

function bandElement(band: PageBand, accent: string): string {
  const { box, cornerMm, fill, line } = bandShape(band, accent);
  const { xMm, yMm, widthMm, heightMm } = box;
  const corner = cornerMm === 0 ? '' : ` rx="${round(cornerMm)}"`;
  const paint = `fill="${fill ?? 'none'}"${line === null ? '' : ` stroke="${line}" stroke-width="${outlineMm}"`}`;
  return `<rect x="${round(xMm)}" y="${round(yMm)}" width="${round(widthMm)}" height="${round(heightMm)}"${corner} ${paint}/>`;
}

function tapSignElement(sign: PageTapSign): string {
  const strokes = tapSignStrokes.map((path) => `<path d="${path}"/>`).join('');
  return `<g${turn(sign, sign.turned)}><g transform="translate(${round(sign.xMm)} ${round(sign.yMm)}) scale(${tapSignScale(sign)})" fill="none" stroke="#000" stroke-width="${tapSignLine}" stroke-linecap="round">${strokes}</g></g>`;
}

function textElement(text: PageText, accent: string, { han }: Pick<SheetOrder, 'han'>): string {
  const size = text.sizePt * pointMm;
  const path = placedLines(text, han)
    .flatMap(({ runs, xMm, baselineMm }) => runs.map((run) => outlineRun(run, size, xMm + run.xEm * size, baselineMm)))
    .join('');
  return path === '' ? '' : `<path${turn(text, text.turned)} d="${path}" fill="${toneColour(text.tone, accent)}"/>`;
}

function turn(
  {
    xMm,
    yMm,
    widthMm,
    heightMm,
  }: { readonly xMm: number; readonly yMm: number; readonly widthMm: number; readonly heightMm: number },
  turned: boolean,
): string {
  return turned ? ` transform="rotate(180 ${round(xMm + widthMm / 2)} ${round(yMm + heightMm / 2)})"` : '';
}

function round(value: number): number {
  return Math.round(value * 1000) / 1000;
}
