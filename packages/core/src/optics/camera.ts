/**
 * What a camera sees of a printed code: print -> scene -> lens -> sensor -> frame. Only the region around the
 * code is rendered, area-sampled in linear light, then blurred, put through the sRGB curve and given noise.
 *
 * Left out for now: uneven light, glare, compression, colour. docs/optics.md lists the assumptions.
 */
import { radians, requirePositive } from '../units.js';
import { quietZoneModules, type SymbolPlan } from '../symbol/plan.js';
import { focalLengthPx, type DeviceProfile } from './device.js';
import { normalSource } from './random.js';

/** Where camera and code stand to each other. */
export interface View {
  readonly distanceM: number;
  /** Turn of the paper about the vertical axis, degrees. */
  readonly tiltDeg: number;
  /** Turn of the device about its line of sight, degrees. */
  readonly rollDeg: number;
  /** Shift of the code's centre on the sensor, in pixels; parts of a pixel matter most. */
  readonly shiftXPx: number;
  readonly shiftYPx: number;
  /** Seed of the sensor noise. */
  readonly seed: number;
}

/** Grey frame, row by row, 0 = black. */
export interface GreyFrame {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly grey: Uint8Array;
}

// Linear reflectances of office paper, toner and a wall behind it.
const paperReflectance = 0.82;
const inkReflectance = 0.05;
const wallReflectance = 0.45;
/** Toner spreads beyond the module's edge on each side, in modules. */
const inkSpread = 1 / 16;
/** Paper seen around the quiet zone, in modules, before the wall begins. */
const paperBorderModules = 2;

interface Projection {
  /** Sensor pixels, relative to the region's corner -> module coordinates, homogeneous and row by row. */
  readonly inverse: readonly number[];
  readonly widthPx: number;
  readonly heightPx: number;
}

/** Renders the region of the frame that holds the code. */
export function renderFrame(plan: Pick<SymbolPlan, 'modules' | 'matrix'>, sizeMm: number, device: DeviceProfile, view: View): GreyFrame {
  requirePositive('sizeMm', sizeMm);
  requirePositive('distanceM', view.distanceM);
  const projection = project(plan.modules, sizeMm / plan.modules, device, view);
  const light = sample(plan, projection);
  blur(light, projection.widthPx, projection.heightPx, device.blurPx);
  return develop(light, projection, device.noiseGrey, view.seed);
}

/** Pixels a module covers along the far edge of the tilted code: what decides whether it reads. */
export function farEdgePixelsPerModule(modules: number, sizeMm: number, device: DeviceProfile, view: Pick<View, 'distanceM' | 'tiltDeg'>): number {
  const tilt = radians(view.tiltDeg);
  const farMm = view.distanceM * 1000 + (sizeMm / 2) * Math.abs(Math.sin(tilt));
  return ((focalLengthPx(device) * sizeMm) / (modules * farMm)) * Math.cos(tilt);
}

function project(modules: number, moduleMm: number, device: DeviceProfile, view: View): Projection {
  const focal = focalLengthPx(device);
  const tilt = radians(view.tiltDeg);
  const roll = radians(view.rollDeg);
  const distanceMm = view.distanceM * 1000;
  const centre = modules / 2;
  // Module (u, v) -> millimetres about the centre -> turned paper -> sensor: one homography.
  const alongX = [moduleMm * Math.cos(tilt), moduleMm * Math.sin(tilt)] as const;
  const forward = [
    focal * alongX[0] * Math.cos(roll), -focal * moduleMm * Math.sin(roll), 0,
    focal * alongX[0] * Math.sin(roll), focal * moduleMm * Math.cos(roll), 0,
    alongX[1], 0, distanceMm,
  ];
  const reach = centre + quietZoneModules + paperBorderModules + 1;
  const corners = [[-reach, -reach], [reach, -reach], [reach, reach], [-reach, reach]].map(([u = 0, v = 0]) => apply(forward, u, v));
  const minX = Math.floor(Math.min(...corners.map(([x]) => x)) + view.shiftXPx);
  const minY = Math.floor(Math.min(...corners.map(([, y]) => y)) + view.shiftYPx);
  const maxX = Math.ceil(Math.max(...corners.map(([x]) => x)) + view.shiftXPx);
  const maxY = Math.ceil(Math.max(...corners.map(([, y]) => y)) + view.shiftYPx);
  const left = Math.max(minX, -Math.floor(device.previewWidthPx / 2));
  const top = Math.max(minY, -Math.floor(device.previewHeightPx / 2));
  const widthPx = Math.max(1, Math.min(maxX, Math.ceil(device.previewWidthPx / 2)) - left);
  const heightPx = Math.max(1, Math.min(maxY, Math.ceil(device.previewHeightPx / 2)) - top);
  const shifted = multiply([1, 0, view.shiftXPx - left, 0, 1, view.shiftYPx - top, 0, 0, 1], multiply(forward, [1, 0, -centre, 0, 1, -centre, 0, 0, 1]));
  return { inverse: invert(shifted), widthPx, heightPx };
}

function apply(matrix: readonly number[], x: number, y: number): readonly [number, number] {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, i = 0] = matrix;
  const w = g * x + h * y + i;
  return [(a * x + b * y + c) / w, (d * x + e * y + f) / w];
}

/** Light that falls on each pixel, area-sampled on a regular grid of n x n points. */
function sample(plan: Pick<SymbolPlan, 'modules' | 'matrix'>, projection: Projection): Float32Array {
  const { inverse, widthPx, heightPx } = projection;
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, i = 0] = inverse;
  const scene = rasterise(plan);
  const light = new Float32Array(widthPx * heightPx);
  const middle = apply(inverse, widthPx / 2, heightPx / 2);
  const beside = apply(inverse, widthPx / 2 + 1, heightPx / 2);
  const pixels = 1 / Math.max(1e-6, Math.hypot(beside[0] - middle[0], beside[1] - middle[1]));
  // Far away each pixel mixes several modules and needs more points; near by the edges are what is left.
  const grid = pixels < 5 ? 4 : 3;
  const step = 1 / grid;
  for (let y = 0; y < heightPx; y += 1) {
    for (let x = 0; x < widthPx; x += 1) {
      let sum = 0;
      for (let sy = step / 2; sy < 1; sy += step) {
        for (let sx = step / 2; sx < 1; sx += step) {
          const px = x + sx;
          const py = y + sy;
          const w = 1 / (g * px + h * py + i);
          sum += lookUp(scene, (a * px + b * py + c) * w, (d * px + e * py + f) * w);
        }
      }
      light[y * widthPx + x] = sum * step * step;
    }
  }
  return light;
}

interface Scene {
  readonly modules: number;
  readonly side: number;
  readonly texels: Float32Array;
}
const texelsPerModule = 16;

/** The printed symbol as reflectances, 16 texels a module, the ink spread by one texel. Kept for the last symbol. */
function rasterise(plan: Pick<SymbolPlan, 'modules' | 'matrix'>): Scene {
  const kept = rasters.get(plan.matrix);
  if (kept) return kept;
  const side = plan.modules * texelsPerModule;
  const texels = new Float32Array(side * side).fill(paperReflectance);
  const spread = Math.round(inkSpread * texelsPerModule);
  for (let row = 0; row < plan.modules; row += 1) {
    for (let column = 0; column < plan.modules; column += 1) {
      if (plan.matrix[row * plan.modules + column] !== 1) continue;
      const fromX = Math.max(0, column * texelsPerModule - spread);
      const toX = Math.min(side, (column + 1) * texelsPerModule + spread);
      const toY = Math.min(side, (row + 1) * texelsPerModule + spread);
      for (let y = Math.max(0, row * texelsPerModule - spread); y < toY; y += 1) texels.fill(inkReflectance, y * side + fromX, y * side + toX);
    }
  }
  const scene = { modules: plan.modules, side, texels };
  rasters.set(plan.matrix, scene);
  return scene;
}
const rasters = new WeakMap<Uint8Array, Scene>();

function lookUp(scene: Scene, u: number, v: number): number {
  if (u >= 0 && v >= 0 && u < scene.modules && v < scene.modules) {
    return scene.texels[((v * texelsPerModule) | 0) * scene.side + ((u * texelsPerModule) | 0)] as number;
  }
  const border = quietZoneModules + paperBorderModules;
  const onPaper = u >= -border && v >= -border && u < scene.modules + border && v < scene.modules + border;
  return onPaper ? paperReflectance : wallReflectance;
}

/** Separable Gaussian in place; edges repeat. */
function blur(light: Float32Array, width: number, height: number, sigmaPx: number): void {
  if (sigmaPx <= 0) return;
  const radius = Math.max(1, Math.ceil(sigmaPx * 3));
  const kernel = Array.from({ length: 2 * radius + 1 }, (_, index) => Math.exp(-((index - radius) ** 2) / (2 * sigmaPx * sigmaPx)));
  const total = kernel.reduce((sum, weight) => sum + weight, 0);
  const weights = Float32Array.from(kernel, (weight) => weight / total);
  convolve(light, width, height, 1, width, weights, radius);
  convolve(light, height, width, width, 1, weights, radius);
}

function convolve(light: Float32Array, length: number, lines: number, along: number, across: number, weights: Float32Array, radius: number): void {
  const padded = new Float32Array(length + 2 * radius);
  for (let line = 0; line < lines; line += 1) {
    const start = line * across;
    const last = start + (length - 1) * along;
    for (let index = 0; index < length; index += 1) padded[index + radius] = light[start + index * along] as number;
    padded.fill(light[start] as number, 0, radius);
    padded.fill(light[last] as number, length + radius);
    for (let index = 0; index < length; index += 1) {
      let sum = 0;
      for (let tap = 0; tap < weights.length; tap += 1) sum += (weights[tap] as number) * (padded[index + tap] as number);
      light[start + index * along] = sum;
    }
  }
}

/** sRGB transfer curve (IEC 61966-2-1) from linear 0-1 to grey levels, in steps of 1/4096. */
const curve = Float32Array.from({ length: 4097 }, (_, index) => {
  const linear = index / 4096;
  return 255 * (linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055);
});

function develop(light: Float32Array, { widthPx, heightPx }: Projection, noiseGrey: number, seed: number): GreyFrame {
  const grey = new Uint8Array(light.length);
  const normal = normalSource(seed);
  for (let index = 0; index < light.length; index += 1) {
    const level = (curve[((light[index] as number) * 4096 + 0.5) | 0] as number) + normal() * noiseGrey;
    grey[index] = level <= 0 ? 0 : level >= 255 ? 255 : level + 0.5;
  }
  return { widthPx, heightPx, grey };
}

function multiply(left: readonly number[], right: readonly number[]): number[] {
  const product: number[] = [];
  for (let row = 0; row < 3; row += 1) {
    for (let column = 0; column < 3; column += 1) {
      let sum = 0;
      for (let index = 0; index < 3; index += 1) sum += (left[row * 3 + index] ?? 0) * (right[index * 3 + column] ?? 0);
      product.push(sum);
    }
  }
  return product;
}

function invert(matrix: readonly number[]): number[] {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, i = 0] = matrix;
  const cofactors = [e * i - f * h, c * h - b * i, b * f - c * e, f * g - d * i, a * i - c * g, c * d - a * f, d * h - e * g, b * g - a * h, a * e - b * d];
  const determinant = a * (cofactors[0] ?? 0) + b * (cofactors[3] ?? 0) + c * (cofactors[6] ?? 0);
  return cofactors.map((cofactor) => cofactor / determinant);
}
