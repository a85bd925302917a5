/**
 * What lens and hand take of the sharpness. Three causes are added as squares of their sigmas: the lens itself (the device's
 * own figure), defocus nearer than the nearest focus, and the hand's turn during an exposure. A disc and a line are
 * stood in for by Gaussians with the same second moments, so that one separable filter does it all.
 */
import { radians } from '../../platform/units.js';
import { focalLengthPx, type DeviceProfile } from '../../school/device/device.js';
import type { View } from './projection.js';

/** Blur across and down, as a Gaussian. */
export interface Spread {
  /** Sigma in pixels. */
  readonly x: number;
  readonly y: number;
}

/** Opening of a phone's or webcam's lens, about 3.6 mm at f/2.2. Metres. */
const apertureM = 0.0016;

/** @param exposureS of one preview frame, seconds */
export function spreadOf(device: DeviceProfile, view: View, exposureS: number): Spread {
  const focal = focalLengthPx(device);
  const constant = device.blurPx ** 2 + defocusSigmaPx(device, view.distanceM) ** 2;
  const moved = (degPerS: number): number => (focal * radians(degPerS) * exposureS) ** 2 / 12;
  return {
    x: Math.sqrt(constant + moved(view.handXDegPerS ?? 0)),
    y: Math.sqrt(constant + moved(view.handYDegPerS ?? 0)),
  };
}

/** A disc of confusion f A (1/D - 1/D0) wide, 0 from the nearest focus D0 on; its sigma is a quarter of its width. */
export function defocusSigmaPx(device: DeviceProfile, distanceM: number): number {
  return (focalLengthPx(device) * apertureM * Math.max(0, 1 / distanceM - 1 / device.nearestFocusM)) / 4;
}

/** Separable Gaussian in place; edges repeat. */
export function blur(light: Float32Array, width: number, height: number, { x, y }: Spread): void {
  if (x > 0) blurAcross(light, width, height, kernelOf(x));
  if (y > 0) blurDown(light, width, height, kernelOf(y));
}

/** Weights from the middle outwards; together with their mirror images they make 1. What lies beyond 2.6 sigma is 1 %. */
function kernelOf(sigmaPx: number): Float32Array {
  const radius = Math.max(1, Math.ceil(sigmaPx * 2.6));
  const half = Array.from({ length: radius + 1 }, (_, index) => Math.exp(-(index ** 2) / (2 * sigmaPx * sigmaPx)));
  const total = half.reduce((sum, weight, index) => sum + weight * (index === 0 ? 1 : 2), 0);
  return Float32Array.from(half, (weight) => weight / total);
}

function blurAcross(light: Float32Array, width: number, height: number, half: Float32Array): void {
  const radius = half.length - 1;
  const padded = new Float32Array(width + 2 * radius);
  const middle = half[0] as number;
  for (let start = 0; start < width * height; start += width) {
    padded.set(light.subarray(start, start + width), radius);
    padded.fill(light[start] as number, 0, radius);
    padded.fill(light[start + width - 1] as number, width + radius);
    for (let x = 0, here = radius; x < width; x += 1, here += 1) {
      let sum = middle * (padded[here] as number);
      for (let tap = 1; tap <= radius; tap += 1)
        sum += (half[tap] as number) * ((padded[here - tap] as number) + (padded[here + tap] as number));
      light[start + x] = sum;
    }
  }
}

/** Row by row as well, since columns would jump through memory. */
function blurDown(light: Float32Array, width: number, height: number, half: Float32Array): void {
  const before = light.slice();
  const middle = half[0] as number;
  for (let y = 0; y < height; y += 1) {
    const start = y * width;
    for (let x = 0; x < width; x += 1) light[start + x] = middle * (before[start + x] as number);
    for (let tap = 1; tap < half.length; tap += 1) {
      const weight = half[tap] as number;
      const above = Math.max(0, y - tap) * width;
      const below = Math.min(height - 1, y + tap) * width;
      for (let x = 0; x < width; x += 1)
        light[start + x] =
          (light[start + x] as number) + weight * ((before[above + x] as number) + (before[below + x] as number));
    }
  }
}
