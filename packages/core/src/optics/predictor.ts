/**
 * How far a device reads, and how large a code must be printed, by pixels per module alone. The thresholds are
 * measured pass rates (docs/optics.md); the rehearsal confirms or corrects them. Used where an answer is needed
 * before anything was simulated: to choose the printed size, and to start the rehearsal near the limit.
 */
import { requirePositive } from '../units.js';
import { focalLengthPx, type DeviceProfile } from './device.js';

/**
 * Pixels that a module needs, seen straight on, for nearly every trial to read. Fitted to this core's own trials (turn
 * of the paper up to 25 degrees included) over versions 2, 4 and 9; within a tenth of the rehearsal there.
 */
export function neededPixelsPerModule(device: Pick<DeviceProfile, 'blurPx' | 'noiseGrey' | 'engine'>): number {
  const blurred = Math.max(0, device.blurPx - 0.2);
  const noisyBlur = device.noiseGrey * Math.max(0, device.blurPx - 0.6);
  return 1.24 + 0.88 * blurred + 0.037 * device.noiseGrey + 0.09 * noisyBlur;
}

/** Reach in metres: f x S / (N x p). */
export function predictReachM(device: DeviceProfile, sizeMm: number, modules: number): number {
  requirePositive('sizeMm', sizeMm);
  return (focalLengthPx(device) * sizeMm) / (modules * neededPixelsPerModule(device) * 1000);
}

/** Room kept between the predicted and the wanted reach: the simulation may find less. */
export const sizeMargin = 1.15;
/** A code on a wall is never printed smaller, so that it is found by the eye as well. */
export const smallestPosterCodeMm = 40;

/**
 * Side of the printed symbol in mm, without quiet zone, so that every device reads from `distanceM`: rounded up to
 * 5 mm, from `smallestPosterCodeMm` to `largestMm`.
 */
export function sizeForDistanceMm(modules: number, distanceM: number, devices: readonly DeviceProfile[], largestMm: number): number {
  requirePositive('distanceM', distanceM);
  const needed = devices.map((device) => (distanceM * 1000 * modules * neededPixelsPerModule(device)) / focalLengthPx(device));
  const wanted = Math.ceil((Math.max(0, ...needed) * sizeMargin) / 5) * 5;
  return Math.min(Math.max(wanted, smallestPosterCodeMm), Math.floor(largestMm));
}
