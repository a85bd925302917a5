/**
 * Light that falls on each pixel of a region. Usually from a print that is unsharp already, one look-up a pixel; averaging
 * points of the sharp print, which everybody can check, is kept as the measure of that (tests and bench).
 */
import type { BlurredPrint } from './blurred-print.js';
import { blur, type Spread } from './lens.js';
import type { Print } from './print.js';
import type { Projection } from './projection.js';
import { borderModules, surroundings } from './surroundings.js';

/** So many pixels are placed straight between two exact points: over them a perspective bends by a hundredth of a pixel at most. */
const stretchPx = 16;

/** What is seen of an unsharp print, straight between its texels, row by row: its light, or the grey levels of that. */
export function sampleBlurred(
  texels: Float32Array,
  { perModule, side }: BlurredPrint,
  { inverse, widthPx, heightPx }: Projection,
): Float32Array {
  const [a, b, c, d, e, f, g, h, i] = inverse;
  const seen = new Float32Array(widthPx * heightPx);
  // Texels have their light at their middle; beyond the border there is wall, as at its last texel.
  const offset = borderModules * perModule - 0.5;
  const last = side - 1.001;
  for (let y = 0; y < heightPx; y += 1) {
    const u0 = b * (y + 0.5) + c;
    const v0 = e * (y + 0.5) + f;
    const w0 = h * (y + 0.5) + i;
    let w = perModule / (g * 0.5 + w0);
    let u = (a * 0.5 + u0) * w + offset;
    let v = (d * 0.5 + v0) * w + offset;
    for (let from = 0; from < widthPx; from += stretchPx) {
      const next = from + stretchPx + 0.5;
      w = perModule / (g * next + w0);
      const uNext = (a * next + u0) * w + offset;
      const vNext = (d * next + v0) * w + offset;
      const uStep = (uNext - u) / stretchPx;
      const vStep = (vNext - v) / stretchPx;
      const end = y * widthPx + Math.min(widthPx, from + stretchPx);
      for (let at = y * widthPx + from; at < end; at += 1, u += uStep, v += vStep) {
        const us = u < 0 ? 0 : u > last ? last : u;
        const vs = v < 0 ? 0 : v > last ? last : v;
        const iu = us | 0;
        const iv = vs | 0;
        const share = us - iu;
        const texel = iv * side + iu;
        const upper = texels[texel] as number;
        const lower = texels[texel + side] as number;
        const first = upper + share * ((texels[texel + 1] as number) - upper);
        seen[at] = first + (vs - iv) * (lower + share * ((texels[texel + side + 1] as number) - lower) - first);
      }
      u = uNext;
      v = vNext;
    }
  }
  return seen;
}

/** From the sharp print by so many points a pixel along each axis: the lens spreads the points, the pixels take their means. */
export function samplePoints(
  { modules, perModule, side, taken, ground }: Print,
  { inverse, widthPx, heightPx }: Projection,
  spread: Spread,
  slope: number,
  pointsAcross: number,
): Float32Array {
  const [a, b, c, d, e, f, g, h, i] = inverse;
  const [width, height] = [widthPx * pointsAcross, heightPx * pointsAcross];
  const points = new Float32Array(width * height);
  for (let at = 0; at < points.length; at += 1) {
    const [x, y] = [((at % width) + 0.5) / pointsAcross, (Math.floor(at / width) + 0.5) / pointsAcross];
    const w = 1 / (g * x + h * y + i);
    const u = (a * x + b * y + c) * w;
    const v = (d * x + e * y + f) * w;
    let value = surroundings(u, v, modules, ground);
    if (u >= 0 && v >= 0 && u < modules && v < modules)
      value -= taken[((v * perModule) | 0) * side + ((u * perModule) | 0)] as number;
    points[at] = value * (1 + slope * Math.max(-1, Math.min(1, (2 * u) / modules - 1)));
  }
  blur(points, width, height, { x: spread.x * pointsAcross, y: spread.y * pointsAcross });
  const light = new Float32Array(widthPx * heightPx);
  for (let at = 0; at < points.length; at += 1) {
    const pixel = Math.floor(at / width / pointsAcross) * widthPx + Math.floor((at % width) / pointsAcross);
    light[pixel] = (light[pixel] as number) + (points[at] as number) / (pointsAcross * pointsAcross);
  }
  return light;
}

/** Width of a lamp's image against the code's side, as sigma. */
const glareSigma = 0.18;

/** A lamp that a glossy surface mirrors: reflectance added at its middle, and where that is, in modules from the symbol's corner. */
export interface Glare {
  readonly gloss: number;
  readonly x: number;
  readonly y: number;
}

/** Adds it to linear light, in place. */
export function addGlare(
  light: Float32Array,
  modules: number,
  { inverse, widthPx, heightPx }: Projection,
  { gloss, x: glareX, y: glareY }: Glare,
): void {
  const [a, b, c, d, e, f, g, h, i] = inverse;
  const spread = 1 / (2 * (glareSigma * modules) ** 2);
  let at = 0;
  for (let y = 0.5; y < heightPx; y += 1) {
    for (let x = 0.5; x < widthPx; x += 1, at += 1) {
      const w = 1 / (g * x + h * y + i);
      const mirrored =
        gloss * Math.exp(-(((a * x + b * y + c) * w - glareX) ** 2 + ((d * x + e * y + f) * w - glareY) ** 2) * spread);
      light[at] = Math.min(1, (light[at] as number) + mirrored);
    }
  }
}
