/** A kind of device as its camera sees: what matters for reading is the preview stream, not the megapixels of photos. */
import { radians } from '../../platform/units.js';

/** Reader engines that are rehearsed with. */
export const readerEngineNames = ['zxing', 'zbar', 'qr'] as const;
/** One of them. */
export type ReaderEngineName = (typeof readerEngineNames)[number];

/** A kind of device as its camera sees while it scans. */
export interface DeviceProfile {
  readonly id: string;
  readonly name: string;
  /** Preview stream in pixels. */
  readonly previewWidthPx: number;
  readonly previewHeightPx: number;
  /** Horizontal field of view of the preview, degrees. */
  readonly horizontalFovDeg: number;
  /** Nearest distance that is in focus, metres. */
  readonly nearestFocusM: number;
  /** Gaussian blur of the lens in focus, sigma in preview pixels. */
  readonly blurPx: number;
  /** Sensor noise in evening light, sigma in grey levels 0-255. */
  readonly noiseGrey: number;
  /** Of the preview stream, 1 to 100; null or left out where it is not compressed. */
  readonly jpegQuality?: number | null;
  /** The reader engine that its scanner resembles; that one decides. */
  readonly engine: ReaderEngineName;
}

/** Focal length in preview pixels: f = W / (2 tan(F / 2)). */
export function focalLengthPx(device: Pick<DeviceProfile, 'previewWidthPx' | 'horizontalFovDeg'>): number {
  return device.previewWidthPx / (2 * Math.tan(radians(device.horizontalFovDeg) / 2));
}

/** Pixels that a module covers, seen straight on: p = f x m / D. */
export function pixelsPerModule(device: DeviceProfile, moduleMm: number, distanceM: number): number {
  return (focalLengthPx(device) * moduleMm) / (distanceM * 1000);
}
