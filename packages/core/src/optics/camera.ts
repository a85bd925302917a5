/**
 * What a camera sees of a printed code: print -> scene -> lens -> sensor -> frame. Only the region around the
 * code is rendered, area-sampled in linear light, then blurred, put through the sRGB curve and given noise.
 *
 * Left out for now: uneven light, glare, compression, colour. docs/optics.md lists the assumptions.
 */
import { radians, requirePositive } from '../units.js';
import { quietZoneModules } from '../symbol/plan.js';
import { focalLengthPx, type DeviceProfile } from './device.js';
import { paperReflectance } from '../look/contrast.js';
import { printFor, type PrintedCode } from './print.js';
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

/** Linear reflectance of the wall behind the paper. */
const wallReflectance = 0.45;
/** Paper seen around the quiet zone, in modules, before the wall begins. */
const paperBorderModules = 2;

interface Projection {
  /** Sensor pixels, relative to the region's corner -> module coordinates, homogeneous and row by row. */
  readonly inverse: readonly number[];
  readonly widthPx: number;
  readonly heightPx: number;
}

/**
 * Renders the region of the frame that holds the code.
 * @param pointsAcross sampling points a pixel along each axis; left out, as many as keep the error under that of the noise
 */
export function renderFrame(plan: PrintedCode, sizeMm: number, device: DeviceProfile, view: View, pointsAcross?: number): GreyFrame {
  requirePositive('sizeMm', sizeMm);
  requirePositive('distanceM', view.distanceM);
  const projection = project(plan.modules, sizeMm / plan.modules, device, view);
  const light = sample(plan, projection, pointsAcross ?? null);
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

/**
 * Light that falls on each pixel, area-sampled. The print is prefiltered to texels no larger than the distance of two
 * points, so that 4 x 4 points a pixel are within 2 grey levels rms of 16 x 16 once the lens has blurred (tested). Where
 * a module covers many pixels only its edges are sampled at all, and 2 x 2 do.
 */
function sample(plan: PrintedCode, { inverse, widthPx, heightPx }: Projection, pointsAcross: number | null): Float32Array {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, i = 0] = inverse;
  const middle = apply(inverse, widthPx / 2, heightPx / 2);
  const beside = apply(inverse, widthPx / 2 + 1, heightPx / 2);
  const modulesPerPixel = Math.hypot(beside[0] - middle[0], beside[1] - middle[1]);
  const grid = pointsAcross ?? (modulesPerPixel < 1 / 7 ? 2 : 4);
  const { side, perModule, texels, ground } = printFor(plan, grid, modulesPerPixel);
  const { modules } = plan;
  const border = quietZoneModules + paperBorderModules;
  const light = new Float32Array(widthPx * heightPx);
  const step = 1 / grid;
  const share = step * step;
  for (let y = 0; y < heightPx; y += 1) {
    for (let x = 0; x < widthPx; x += 1) {
      let sum = 0;
      for (let row = 0; row < grid; row += 1) {
        const py = y + (row + 0.5) * step;
        for (let column = 0; column < grid; column += 1) {
          const px = x + (column + 0.5) * step;
          const w = 1 / (g * px + h * py + i);
          const u = (a * px + b * py + c) * w;
          const v = (d * px + e * py + f) * w;
          if (u >= 0 && v >= 0 && u < modules && v < modules) sum += texels[((v * perModule) | 0) * side + ((u * perModule) | 0)] as number;
          else if (u >= -quietZoneModules && v >= -quietZoneModules && u < modules + quietZoneModules && v < modules + quietZoneModules) sum += ground;
          else if (u >= -border && v >= -border && u < modules + border && v < modules + border) sum += paperReflectance;
          else sum += wallReflectance;
        }
      }
      light[y * widthPx + x] = sum * share;
    }
  }
  return light;
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
