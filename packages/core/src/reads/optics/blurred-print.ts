/**
 * The print as it lies in its light, unsharp already by what lens, hand and pixel take of it. Blurring what lies on the sheet
 * instead of what falls on the sensor is the same as long as scale changes little across a code, and it is done once for
 * all frames of about the same scale: a frame costs one look-up a pixel then. Sigmas are taken in steps of 9 %.
 */
import { blur } from './lens.js';
import type { Print } from './print.js';
import { levelsOf } from './sensor.js';
import { borderModules, surroundings } from './surroundings.js';

/** Light of a printed code behind a lens, sampled finely. */
export interface BlurredPrint {
  /** Texels a module along each axis. */
  readonly perModule: number;
  /** Texels a side, border included. */
  readonly side: number;
  /** Linear light 0 to 1, row by row. */
  readonly light: Float32Array;
  /** The same as grey levels. */
  readonly levels: Float32Array;
}

/** Sigma in modules, along the sheet's own axes. */
export interface SheetSpread {
  readonly across: number;
  readonly down: number;
}

const stepRatio = Math.log(1.09);
const finest = 10;
/** Texels a sigma: between them light is interpolated, which costs a known part of the sigma. */
const texelsPerSigma = 1.5;
/** Those of one distance and its neighbour. */
const mostKept = 40;

/** Light of a printed code before any lens. */
export type SharpPrint = Omit<BlurredPrint, 'levels'>;

interface Kept {
  readonly grounds: Map<string, SharpPrint>;
  readonly blurred: Map<string, BlurredPrint>;
}
const known = new WeakMap<Print, Kept>();

/** @param slope of the light across: from 1 - slope at the left edge to 1 + slope at the right */
export function blurredPrint(print: Print, { across, down }: SheetSpread, slope: number): BlurredPrint {
  const kept = known.get(print) ?? { grounds: new Map<string, SharpPrint>(), blurred: new Map<string, BlurredPrint>() };
  known.set(print, kept);
  const [stepAcross, stepDown] = [Math.round(Math.log(across) / stepRatio), Math.round(Math.log(down) / stepRatio)];
  const key = `${stepAcross} ${stepDown} ${slope}`;
  const before = kept.blurred.get(key);
  if (before) return before;
  const [x, y] = [Math.exp(stepAcross * stepRatio), Math.exp(stepDown * stepRatio)];
  const perModule = Math.min(finest, Math.max(2, Math.ceil(texelsPerSigma / Math.min(x, y))));
  const groundKey = `${perModule} ${slope}`;
  const ground = kept.grounds.get(groundKey) ?? sharpPrint(print, perModule, slope);
  kept.grounds.set(groundKey, ground);
  const light = ground.light.slice();
  const rest = (sigma: number): number => Math.sqrt(Math.max(0, sigma * sigma - lostByTexels(perModule))) * perModule;
  blur(light, ground.side, ground.side, { x: rest(x), y: rest(y) });
  const made = { ...ground, light, levels: levelsOf(light, new Float32Array(light.length)) };
  if (kept.blurred.size >= mostKept) kept.blurred.clear();
  kept.blurred.set(key, made);
  return made;
}

/** Variance, in modules squared, of a texel's area and of going straight from texel to texel. */
function lostByTexels(perModule: number): number {
  return (1 / 12 + 1 / 6) / perModule ** 2;
}

/**
 * The sharp print with quiet zone, paper and wall, in linear light: means over texels, told exactly by the integral.
 * @param slope of the light across, as in `blurredPrint`
 */
export function sharpPrint(print: Print, perModule: number, slope: number): SharpPrint {
  const { modules } = print;
  const side = (modules + 2 * borderModules) * perModule;
  const light = new Float32Array(side * side);
  const positions = Float64Array.from({ length: side }, (_, index) => (index + 0.5) / perModule - borderModules);
  const fall = Float32Array.from(positions, (u) => 1 + slope * Math.max(-1, Math.min(1, (2 * u) / modules - 1)));
  for (let row = 0; row < side; row += 1) {
    for (let column = 0; column < side; column += 1)
      light[row * side + column] = surroundings(
        positions[column] as number,
        positions[row] as number,
        modules,
        print.ground,
      );
  }
  takeInk(light, side, print, perModule);
  for (let at = 0; at < light.length; at += 1)
    light[at] = Math.min(1, (light[at] as number) * (fall[at % side] as number));
  return { perModule, side, light };
}

function takeInk(
  light: Float32Array,
  side: number,
  { modules, integral, side: fineSide, perModule: fine }: Print,
  perModule: number,
): void {
  const texels = modules * perModule;
  const ratio = fine / perModule;
  const corner = borderModules * perModule;
  // Sums along the lower edge of each row of texels, less those along its upper edge: what the row holds up to there.
  let above: Float64Array = new Float64Array(texels + 1);
  for (let row = 0; row < texels; row += 1) {
    const below = sumsAlong(integral, fineSide + 1, (row + 1) * ratio, ratio, texels);
    const start = (row + corner) * side + corner;
    for (let column = 0; column < texels; column += 1) {
      const taken =
        (below[column + 1] as number) -
        (below[column] as number) -
        (above[column + 1] as number) +
        (above[column] as number);
      light[start + column] = (light[start + column] as number) - taken / (ratio * ratio);
    }
    above = below;
  }
}

/** The integral along a line, between its points as well: exact, since a texel has one tone. */
function sumsAlong(integral: Float64Array, stride: number, y: number, ratio: number, texels: number): Float64Array {
  const iy = Math.min(stride - 2, Math.floor(y));
  const shareY = y - iy;
  const sums = new Float64Array(texels + 1);
  for (let index = 0; index <= texels; index += 1) {
    const x = index * ratio;
    const ix = Math.min(stride - 2, Math.floor(x));
    const shareX = x - ix;
    const at = iy * stride + ix;
    const upper = (integral[at] as number) * (1 - shareX) + (integral[at + 1] as number) * shareX;
    const lower = (integral[at + stride] as number) * (1 - shareX) + (integral[at + stride + 1] as number) * shareX;
    sums[index] = upper * (1 - shareY) + lower * shareY;
  }
  return sums;
}
