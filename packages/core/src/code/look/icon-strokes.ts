/** An icon's elements (path, circle, line ...) as strokes: the only forms that the icon set is made of. */
import type { DrawnShape, Paint } from './drawn-shape.js';

/** Name of an SVG element with its attributes, as the icon set ships them. */
export type IconNode = readonly [element: string, attributes: Readonly<Record<string, string | number | undefined>>];

/** The icons' own square, and the width of their line in it. */
const iconSide = 24;
const iconLine = 2;

/** The square that icons are drawn in. */
export interface Square {
  readonly x: number;
  readonly y: number;
  readonly side: number;
}

/** One stroke an element: joined, a path that begins relative would begin where the one before ended. */
export function iconStrokes(nodes: readonly IconNode[], { x, y, side }: Square, paint: Paint): readonly DrawnShape[] {
  return nodes.map((node) => ({
    kind: 'stroke',
    path: nodePath(node),
    paint,
    width: iconLine,
    at: [x, y],
    scale: side / iconSide,
  }));
}

function nodePath([element, attributes]: IconNode): string {
  const of = (name: string): number => Number(attributes[name] ?? 0);
  switch (element) {
    case 'path':
      return String(attributes['d'] ?? '');
    case 'line':
      return `M${of('x1')} ${of('y1')}L${of('x2')} ${of('y2')}`;
    case 'circle':
      return ellipse(of('cx'), of('cy'), of('r'), of('r'));
    case 'ellipse':
      return ellipse(of('cx'), of('cy'), of('rx'), of('ry'));
    case 'rect':
      return rect(of('x'), of('y'), of('width'), of('height'), of('rx'));
    case 'polyline':
      return `M${points(attributes)}`;
    case 'polygon':
      return `M${points(attributes)}z`;
    default:
      // Icons have no others; one that had would show without that part.
      return '';
  }
}

function points(attributes: IconNode[1]): string {
  return String(attributes['points'] ?? '')
    .trim()
    .split(/[\s,]+/)
    .join(' ');
}

function ellipse(cx: number, cy: number, rx: number, ry: number): string {
  return `M${cx - rx} ${cy}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0z`;
}

function rect(x: number, y: number, width: number, height: number, r: number): string {
  if (r === 0) return `M${x} ${y}h${width}v${height}h${-width}z`;
  const turn = (dx: number, dy: number): string => `a${r} ${r} 0 0 1 ${dx} ${dy}`;
  return `M${x + r} ${y}h${width - 2 * r}${turn(r, r)}v${height - 2 * r}${turn(-r, r)}h${2 * r - width}${turn(-r, -r)}v${2 * r - height}${turn(r, -r)}z`;
}
