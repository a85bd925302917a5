/** Light -> the grey levels of a preview frame: sRGB curve, noise, 8 bit, and for cameras that compress, JPEG's loss. */
import { loseAsJpeg } from './compression.js';
import { noiseSource } from './random.js';

/** Grey frame, row by row, 0 = black. */
export interface GreyFrame {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly grey: Uint8Array;
}

/** sRGB transfer curve (IEC 61966-2-1) from linear 0-1 to grey levels, in steps of 1/4096. */
const curve = Float32Array.from({ length: 4097 }, (_, index) => {
  const linear = index / 4096;
  return 255 * (linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055);
});

/** Grey levels of linear light, not rounded yet; may be the same array. */
export function levelsOf(light: Float32Array, into: Float32Array): Float32Array {
  for (let at = 0; at < light.length; at += 1) into[at] = curve[((light[at] as number) * 4096 + 0.5) | 0] as number;
  return into;
}

/** Noise and compression of a sensor, grey levels. */
export interface SensorFigures {
  /** Sigma in grey levels. */
  readonly noiseGrey: number;
  /** 1 to 100; null where the stream is not compressed. */
  readonly jpegQuality: number | null;
  readonly seed: number;
}

/**
 * What the sensor makes of the light: noise, rounding, compression.
 * @param levels grey levels 0-255, not rounded yet, row by row
 */
export function develop(
  levels: Float32Array,
  { widthPx, heightPx }: Pick<GreyFrame, 'widthPx' | 'heightPx'>,
  { noiseGrey, jpegQuality, seed }: SensorFigures,
): GreyFrame {
  const grey = new Uint8Array(levels.length);
  const noiseOfRow = noiseSource(seed);
  for (let y = 0, at = 0; y < heightPx; y += 1) {
    const noise = noiseOfRow();
    for (let x = 0; x < widthPx; x += 1, at += 1) {
      const level = (levels[at] as number) + (noise[x] as number) * noiseGrey;
      grey[at] = level <= 0 ? 0 : level >= 255 ? 255 : level + 0.5;
    }
  }
  if (jpegQuality !== null) loseAsJpeg(grey, widthPx, heightPx, jpegQuality);
  return { widthPx, heightPx, grey };
}
