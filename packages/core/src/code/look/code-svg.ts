/** A drawing as an SVG file. Text must have become outlines before (its fonts are nowhere else), pictures data addresses. */
import { drawingSize, type CodeDrawing } from './drawing.js';
import type { DrawnShape, Paint } from './drawn-shape.js';

/** What an SVG document says besides its shapes. */
export interface SvgOptions {
  /** Of the whole picture, with its unit: "62.5mm", "840". Null leaves it to where it is shown. */
  readonly width: string | null;
  readonly height: string | null;
  readonly title: string;
  /** Of a centre picture, as a data address; null where it is not known. */
  readonly pictureAddress: (pictureId: string) => string | null;
}

/** A whole SVG document. Sides without a unit are pixels; null leaves them to who shows it. */
export function drawingSvg(drawing: CodeDrawing, { width, height, title, pictureAddress }: SvgOptions): string {
  const { surround } = drawing;
  const size = drawingSize(drawing);
  const sides = width === null || height === null ? '' : ` width="${width}" height="${height}"`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg"${sides} viewBox="${-surround.left} ${-surround.top} ${size.width} ${size.height}" role="img">`,
    `<title>${escapeXml(title)}</title>`,
    drawingElements(drawing, 'g', pictureAddress),
    '</svg>\n',
  ].join('');
}

/** What is inside such a file, in module units, to stand in a larger one. @param prefix of ids, its own in each file */
export function drawingElements(
  drawing: CodeDrawing,
  prefix: string,
  pictureAddress: SvgOptions['pictureAddress'],
): string {
  const parts = drawing.shapes.map((shape, index) => element(shape, `${prefix}${index}`, pictureAddress));
  const gradients = parts.flatMap(({ gradient }) => gradient ?? []).join('');
  return [gradients === '' ? '' : `<defs>${gradients}</defs>`, ...parts.map(({ drawn }) => drawn)].join('');
}

interface Element {
  readonly drawn: string;
  readonly gradient: string | null;
}

function element(shape: DrawnShape, id: string, pictureAddress: SvgOptions['pictureAddress']): Element {
  if (shape.kind === 'picture') {
    const address = pictureAddress(shape.pictureId);
    const { x, y, width, height } = shape;
    return {
      drawn:
        address === null
          ? ''
          : `<image x="${x}" y="${y}" width="${width}" height="${height}" href="${escapeXml(address)}"/>`,
      gradient: null,
    };
  }
  const { colour, gradient } = svgPaint(shape.paint, id);
  switch (shape.kind) {
    case 'fill':
      return { drawn: `<path d="${shape.path}" fill="${colour}" fill-rule="evenodd"/>`, gradient };
    case 'stroke':
      return {
        drawn: `<path d="${shape.path}" transform="translate(${shape.at.join(' ')}) scale(${shape.scale})" fill="none" stroke="${colour}" stroke-width="${shape.width}" stroke-linecap="round" stroke-linejoin="round"/>`,
        gradient,
      };
    case 'text':
      throw new TypeError('text must be outlines before it is written as SVG');
  }
}

function svgPaint(paint: Paint, id: string): { readonly colour: string; readonly gradient: string | null } {
  if (paint.kind === 'colour') return { colour: paint.colour, gradient: null };
  const stops = `<stop offset="0" stop-color="${paint.colours[0]}"/><stop offset="1" stop-color="${paint.colours[1]}"/>`;
  if (paint.kind === 'radial')
    return {
      colour: `url(#${id})`,
      gradient: `<radialGradient id="${id}" gradientUnits="userSpaceOnUse" cx="${paint.centre[0]}" cy="${paint.centre[1]}" r="${paint.radius}">${stops}</radialGradient>`,
    };
  return {
    colour: `url(#${id})`,
    gradient: `<linearGradient id="${id}" gradientUnits="userSpaceOnUse" x1="${paint.from[0]}" y1="${paint.from[1]}" x2="${paint.to[0]}" y2="${paint.to[1]}">${stops}</linearGradient>`,
  };
}

function escapeXml(text: string): string {
  return text.replace(/[&<>"']/g, (character) => `&#${character.charCodeAt(0)};`);
}
