/**
 * How far a device reads, and how large a code must be printed, by pixels per module alone: an answer at once, before anything
 * is simulated. Fitted to this core's own rehearsals (versions 2, 4, 7 and 10; blur 0.4 to 1.2 px, noise 3 to 10, each engine;
 * docs/optics.md); the rehearsal confirms or corrects it.
 */
import { radians, requirePositive } from '../../platform/units.js';
import { focalLengthPx, type DeviceProfile, type ReaderEngineName } from '../../school/device/device.js';
import { fastestHandDegPerS, lightFigures, techniqueFigures, usualScene, type Scene } from './scene.js';

interface Fit {
  readonly constant: number;
  readonly blur: number;
  readonly blurSquared: number;
  readonly noise: number;
  readonly noiseSquared: number;
  readonly both: number;
  /** For each e-fold of modules against 33. */
  readonly modules: number;
  /** How far the simulated reach lies from the predicted one at most, as a share: within it, the answer is "hit and miss". */
  readonly error: number;
}

const fits: Readonly<Record<ReaderEngineName, Fit>> = {
  zxing: {
    constant: 1.153,
    blur: 0.48,
    blurSquared: 0.604,
    noise: -0.0086,
    noiseSquared: -0.0005,
    both: 0.0772,
    modules: 0.127,
    error: 0.08,
  },
  zbar: {
    constant: 1.574,
    blur: 0.241,
    blurSquared: 0.716,
    noise: -0.0366,
    noiseSquared: 0.0025,
    both: 0.0331,
    modules: 0.171,
    error: 0.1,
  },
  qr: {
    constant: 0.764,
    blur: 1.601,
    blurSquared: 0,
    noise: 0.152,
    noiseSquared: 0,
    both: -0.0388,
    modules: 0.11,
    error: 0.2,
  },
};

type Camera = Pick<DeviceProfile, 'previewWidthPx' | 'horizontalFovDeg' | 'blurPx' | 'noiseGrey' | 'engine'>;

/** Pixels that a module needs, seen straight on, for nearly every trial to read; turns of the paper are in it. */
export function neededPixelsPerModule(device: Camera, modules: number, scene: Scene = usualScene): number {
  const fit = fits[device.engine];
  // A hand in evening light is in the fit already; less contrast is as much noise more.
  const blur = Math.sqrt(
    Math.max(0.01, device.blurPx ** 2 + handVariance(device, scene) - handVariance(device, usualScene)),
  );
  const noise = (device.noiseGrey * lightFigures[scene.light].noise) / (1 - techniqueFigures[scene.technique].paler);
  const needed =
    fit.constant +
    fit.blur * blur +
    fit.blurSquared * blur * blur +
    fit.noise * noise +
    fit.noiseSquared * noise * noise +
    fit.both * blur * noise +
    fit.modules * Math.log(modules / 33);
  return Math.max(1, needed);
}

/** Mean variance that a moving hand adds along an axis, pixels squared. */
function handVariance(device: Camera, { light }: Scene): number {
  return (focalLengthPx(device) * radians(fastestHandDegPerS) * lightFigures[light].exposureS) ** 2 / 36;
}

/** Reach in metres: f x S / (N x p). */
export function predictReachM(device: Camera, sizeMm: number, modules: number, scene: Scene = usualScene): number {
  requirePositive('sizeMm', sizeMm);
  return (focalLengthPx(device) * sizeMm) / (modules * neededPixelsPerModule(device, modules, scene) * 1000);
}

/** What the predictor says before a rehearsal, metres. */
export interface Foretold {
  readonly reachM: number;
  /** Up to here it reads, as far as the prediction can be trusted; from `missesFromM` on it does not. */
  readonly readsToM: number;
  readonly missesFromM: number;
}

/** The predicted reach with its error. @param share of a plain code's reach that a look leaves */
export function foretell(
  device: Camera,
  sizeMm: number,
  modules: number,
  scene: Scene = usualScene,
  share = 1,
): Foretold {
  const reachM = predictReachM(device, sizeMm, modules, scene) * share;
  const { error } = fits[device.engine];
  return { reachM, readsToM: reachM * (1 - error), missesFromM: reachM * (1 + error) };
}

/** A code on a wall is never printed smaller, so that it is found by the eye as well. */
export const smallestPosterCodeMm = 40;

/** Side in mm from which a device surely reads from `distanceM`: the predictor's error is made up for. */
export function neededSizeMm(device: Camera, modules: number, distanceM: number, scene: Scene = usualScene): number {
  return (
    (distanceM *
      1000 *
      modules *
      neededPixelsPerModule(device, modules, scene) *
      (1 + fits[device.engine].error + 0.02)) /
    focalLengthPx(device)
  );
}

/**
 * Side of the printed symbol in mm, without quiet zone, so that every device reads from `distanceM`: rounded up to
 * 5 mm, from `smallestPosterCodeMm` to `largestMm`.
 */
export function sizeForDistanceMm(
  modules: number,
  distanceM: number,
  devices: readonly DeviceProfile[],
  largestMm: number,
): number {
  requirePositive('distanceM', distanceM);
  const wanted = Math.ceil(Math.max(0, ...devices.map((device) => neededSizeMm(device, modules, distanceM))) / 5) * 5;
  return Math.min(Math.max(wanted, smallestPosterCodeMm), Math.floor(largestMm));
}
