/** Modules of a printed symbol -> pixels of a sensor: a pinhole camera in front of a turned sheet, one homography. */
import { radians } from '../../platform/units.js';
import { focalLengthPx, type DeviceProfile } from '../../school/device/device.js';
import { borderModules } from './surroundings.js';

/** Where camera and code stand to each other. */
export interface View {
  readonly distanceM: number;
  /** Turn of the paper about the vertical axis, degrees. */
  readonly tiltDeg: number;
  /** Turn of the paper about the horizontal axis: one looks down on it, or up; degrees. */
  readonly pitchDeg?: number;
  /** Turn of the device about its line of sight, degrees. */
  readonly rollDeg: number;
  /** Shift of the code's centre on the sensor, in pixels; parts of a pixel matter most. */
  readonly shiftXPx: number;
  readonly shiftYPx: number;
  /** How fast the hand turns the device while a frame is exposed, degrees a second, across and down. */
  readonly handXDegPerS?: number;
  readonly handYDegPerS?: number;
  /** Where a lamp is mirrored by a glossy surface, in parts of the code's side from its centre. */
  readonly glareX?: number;
  readonly glareY?: number;
  /** Seed of the sensor noise. */
  readonly seed: number;
}

/** 3 x 3, row by row. */
export type Homography = readonly [number, number, number, number, number, number, number, number, number];

/** The part of the frame in which the code lies. */
export interface Projection {
  /** Pixels relative to the region's corner -> module coordinates from the symbol's corner, homogeneous. */
  readonly inverse: Homography;
  readonly widthPx: number;
  readonly heightPx: number;
}

/**
 * Where the printed code falls on the sensor: a plane seen by a pinhole camera.
 * @param modules on a side
 * @param sizeMm side of the symbol
 */
export function project(modules: number, sizeMm: number, device: DeviceProfile, view: View): Projection {
  const centre = modules / 2;
  const forward = toSensor(sizeMm / modules, device, view);
  const edge = centre + borderModules;
  const corners = [
    [-edge, -edge],
    [edge, -edge],
    [edge, edge],
    [-edge, edge],
  ].map(([u = 0, v = 0]) => apply(forward, u, v));
  const span = (axis: 0 | 1, shiftPx: number, sensorPx: number): readonly [number, number] => {
    const least = Math.floor(Math.min(...corners.map((corner) => corner[axis])) + shiftPx);
    const most = Math.ceil(Math.max(...corners.map((corner) => corner[axis])) + shiftPx);
    const start = Math.max(least, -Math.floor(sensorPx / 2));
    return [start, Math.max(1, Math.min(most, Math.ceil(sensorPx / 2)) - start)];
  };
  const [left, widthPx] = span(0, view.shiftXPx, device.previewWidthPx);
  const [top, heightPx] = span(1, view.shiftYPx, device.previewHeightPx);
  const placed = multiply(
    [1, 0, view.shiftXPx - left, 0, 1, view.shiftYPx - top, 0, 0, 1],
    multiply(forward, [1, 0, -centre, 0, 1, -centre, 0, 0, 1]),
  );
  return { inverse: invert(placed), widthPx, heightPx };
}

/** Pixels a module covers along the far edge of the tilted code: what decides whether it reads. */
export function farEdgePixelsPerModule(
  modules: number,
  sizeMm: number,
  device: DeviceProfile,
  view: Pick<View, 'distanceM' | 'tiltDeg'>,
): number {
  const tilt = radians(view.tiltDeg);
  const farMm = view.distanceM * 1000 + (sizeMm / 2) * Math.abs(Math.sin(tilt));
  return ((focalLengthPx(device) * sizeMm) / (modules * farMm)) * Math.cos(tilt);
}

/** Modules about the code's centre -> pixels about the sensor's. */
function toSensor(
  moduleMm: number,
  device: DeviceProfile,
  { distanceM, tiltDeg, pitchDeg = 0, rollDeg }: View,
): Homography {
  const focal = focalLengthPx(device);
  const [tilt, pitch, roll] = [radians(tiltDeg), radians(pitchDeg), radians(rollDeg)];
  // The sheet's own axes in space, a module long: turned about the vertical axis first, then about the horizontal one.
  const across = [Math.cos(tilt), Math.sin(tilt) * Math.sin(pitch), Math.sin(tilt) * Math.cos(pitch)].map(
    (part) => part * moduleMm,
  );
  const down = [0, Math.cos(pitch), -Math.sin(pitch)].map((part) => part * moduleMm);
  const [ax = 0, ay = 0, az = 0] = across;
  const [dx = 0, dy = 0, dz = 0] = down;
  const [cos, sin] = [Math.cos(roll) * focal, Math.sin(roll) * focal];
  return [
    cos * ax - sin * ay,
    cos * dx - sin * dy,
    0,
    sin * ax + cos * ay,
    sin * dx + cos * dy,
    0,
    az,
    dz,
    distanceM * 1000,
  ];
}

function apply([a, b, c, d, e, f, g, h, i]: Homography, x: number, y: number): readonly [number, number] {
  const w = g * x + h * y + i;
  return [(a * x + b * y + c) / w, (d * x + e * y + f) / w];
}

function multiply(left: Homography, right: Homography): Homography {
  const cell = (row: number, column: number): number =>
    [0, 1, 2].reduce((sum, index) => sum + (left[row * 3 + index] ?? 0) * (right[index * 3 + column] ?? 0), 0);
  return [cell(0, 0), cell(0, 1), cell(0, 2), cell(1, 0), cell(1, 1), cell(1, 2), cell(2, 0), cell(2, 1), cell(2, 2)];
}

function invert([a, b, c, d, e, f, g, h, i]: Homography): Homography {
  const [first, second, third] = [e * i - f * h, f * g - d * i, d * h - e * g];
  const scale = 1 / (a * first + b * second + c * third);
  return [
    first * scale,
    (c * h - b * i) * scale,
    (b * f - c * e) * scale,
    second * scale,
    (a * i - c * g) * scale,
    (c * d - a * f) * scale,
    third * scale,
    (b * g - a * h) * scale,
    (a * e - b * d) * scale,
  ];
}

/** What a sigma of so many pixels is on the sheet, in modules, at the middle of the region: from the derivatives of the projection. */
export function onSheet(
  { inverse, widthPx, heightPx }: Projection,
  pixels: { readonly x: number; readonly y: number },
): { readonly across: number; readonly down: number } {
  const [a, b, c, d, e, f, g, h, i] = inverse;
  const [x, y] = [widthPx / 2, heightPx / 2];
  const w = 1 / (g * x + h * y + i);
  const [u, v] = [(a * x + b * y + c) * w, (d * x + e * y + f) * w];
  return {
    across: w * Math.hypot((a - g * u) * pixels.x, (b - h * u) * pixels.y),
    down: w * Math.hypot((d - g * v) * pixels.x, (e - h * v) * pixels.y),
  };
}
