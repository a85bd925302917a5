/**
 * What a picture tells of a symbol that was found in it: contrast and quiet zone, measured along the grid that its corners
 * span. Grey levels are not reflectances (nobody knows the light), so contrast is a share of the lightest, and is said so.
 */
import { linear } from '../../code/look/colour.js';
import type { GreyFrame } from '../optics/sensor.js';
import { quietZoneModules } from '../../code/symbol/plan.js';

/** A point of a picture, pixels. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Of the symbol itself, in pixels: upper left, upper right, lower right, lower left, as the symbol stands. */
export type Corners = readonly [Point, Point, Point, Point];

/** What can be measured of a symbol in a picture. */
export interface MeasuredSymbol {
  /** (light - dark) / light in linear light, of the means of light and dark modules, 0 to 1. */
  readonly contrast: number;
  /** Modules of even ground around, at the narrowest side; at most 4. */
  readonly quietZone: number;
  readonly lightOnDark: boolean;
}

/** Null where the symbol lies partly outside, or is too small to be measured. @param modules a side, known from the version */
export function measureSymbol(frame: GreyFrame, corners: Corners, modules: number): MeasuredSymbol | null {
  const at = gridOf(corners, modules);
  const grey = (u: number, v: number): number | null => levelAt(frame, at(u, v));
  const levels: number[] = [];
  for (let row = 0; row < modules; row += 1) {
    for (let column = 0; column < modules; column += 1) {
      const level = grey(column + 0.5, row + 0.5);
      if (level === null) return null;
      levels.push(linear(level / 255));
    }
  }
  const [low, high] = [Math.min(...levels), Math.max(...levels)];
  if (high - low < 1e-3) return null;
  const middle = (low + high) / 2;
  const [dark, light] = [
    mean(levels.filter((level) => level < middle)),
    mean(levels.filter((level) => level >= middle)),
  ];
  // The ring of a finder is dark; where it is the light one, both have changed places.
  const ring = [0.5, 1.5, 2.5, 3.5, 4.5, 5.5, 6.5].map((along) => linear((grey(along, 0.5) ?? 0) / 255));
  const lightOnDark = mean(ring) > (dark + light) / 2;
  return {
    contrast: light === 0 ? 0 : (light - dark) / light,
    quietZone: quietZone(grey, modules, lightOnDark ? dark : light, (light - dark) / 2),
    lightOnDark,
  };
}

/** Half modules outwards from each side until something else begins than ground. */
function quietZone(
  grey: (u: number, v: number) => number | null,
  modules: number,
  ground: number,
  tolerance: number,
): number {
  const sides: readonly ((along: number, out: number) => number | null)[] = [
    (along, out) => grey(along, -out),
    (along, out) => grey(along, modules + out),
    (along, out) => grey(-out, along),
    (along, out) => grey(modules + out, along),
  ];
  const even = (side: (along: number, out: number) => number | null, out: number): boolean =>
    Array.from({ length: modules }, (_, index) => side(index + 0.5, out)).every(
      (level) => level !== null && Math.abs(linear(level / 255) - ground) < tolerance,
    );
  const widths = sides.map((side) => {
    let width = 0;
    while (width < quietZoneModules && even(side, width + 0.5)) width += 1;
    return width;
  });
  return Math.min(...widths);
}

/** Module coordinates -> pixels, by the homography of the unit square onto the corners (Heckbert 1989, 2.2). */
function gridOf([p0, p1, p2, p3]: Corners, modules: number): (u: number, v: number) => Point {
  const [dx1, dx2, dy1, dy2] = [p1.x - p2.x, p3.x - p2.x, p1.y - p2.y, p3.y - p2.y];
  const [sx, sy] = [p0.x - p1.x + p2.x - p3.x, p0.y - p1.y + p2.y - p3.y];
  const determinant = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / determinant;
  const h = (dx1 * sy - sx * dy1) / determinant;
  const [a, b] = [p1.x - p0.x + g * p1.x, p3.x - p0.x + h * p3.x];
  const [d, e] = [p1.y - p0.y + g * p1.y, p3.y - p0.y + h * p3.y];
  return (u, v) => {
    const [x, y] = [u / modules, v / modules];
    const w = g * x + h * y + 1;
    return { x: (a * x + b * y + p0.x) / w, y: (d * x + e * y + p0.y) / w };
  };
}

/** Bilinear; null outside. */
function levelAt({ widthPx, heightPx, grey }: GreyFrame, { x, y }: Point): number | null {
  const [left, top] = [Math.floor(x - 0.5), Math.floor(y - 0.5)];
  if (left < 0 || top < 0 || left + 1 >= widthPx || top + 1 >= heightPx) return null;
  const [fx, fy] = [x - 0.5 - left, y - 0.5 - top];
  const level = (column: number, row: number): number => grey[row * widthPx + column] ?? 0;
  return (
    (level(left, top) * (1 - fx) + level(left + 1, top) * fx) * (1 - fy) +
    (level(left, top + 1) * (1 - fx) + level(left + 1, top + 1) * fx) * fy
  );
}

function mean(values: readonly number[]): number {
  return values.length === 0 ? 0 : values.reduce((sum, value) => sum + value, 0) / values.length;
}
