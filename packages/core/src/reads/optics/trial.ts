/**
 * A trial is an attempt of a student: ten frames, a third of a second of preview, from about one place, with a hand that moves
 * and a paper that is turned a little. It reads when one of the frames reads what was meant.
 */
import { firstDifference, type Difference } from '../../code/payload/compare.js';
import { renderFrame } from './camera.js';
import type { DeviceProfile } from '../../school/device/device.js';
import type { PrintedCode } from './print.js';
import type { View } from './projection.js';
import { uniformSource } from './random.js';
import { fastestHandDegPerS, type Scene } from './scene.js';
import type { GreyFrame } from './sensor.js';
import { verdictOf, type TrialVerdict } from './sequential.js';

/** Reads a frame; null when nothing was found. */
export type ReadFrame = (frame: GreyFrame) => Promise<string | null>;

/** What is rehearsed: a code as it is printed, seen by a device in a scene. */
export interface Staging {
  readonly code: PrintedCode & { readonly payload: string };
  readonly sizeMm: number;
  readonly device: DeviceProfile;
  readonly scene: Scene;
  /** Turn of the paper, degrees: null for up to 25 to either side, as students stand. */
  readonly tiltDeg: number | null;
}

/** Frames of one distance, and how many of them were read. */
export interface TriedDistance {
  readonly distanceM: number;
  readonly trials: number;
  readonly read: number;
}

/** Somebody who holds a phone up gives the scanner so many frames. */
export const framesPerTrial = 10;
/** Students don't stand exactly in front, nor is everybody of one height. Degrees. */
const largestTiltDeg = 25;
const largestPitchDeg = 10;

/** The view of one frame of a trial: the hand moves by parts of pixels and a few degrees. */
export function trialView(distanceM: number, tiltDeg: number, pitchDeg: number, uniform: () => number): View {
  const around = (width: number): number => (uniform() - 0.5) * width;
  return {
    distanceM: distanceM * (1 + around(0.02)),
    tiltDeg: tiltDeg + around(4),
    pitchDeg: pitchDeg + around(3),
    rollDeg: around(12),
    shiftXPx: around(40),
    shiftYPx: around(30),
    handXDegPerS: uniform() * fastestHandDegPerS,
    handYDegPerS: uniform() * fastestHandDegPerS,
    glareX: around(0.8),
    glareY: around(0.8),
    seed: Math.floor(uniform() * 2 ** 31),
  };
}

/** Trials of one staging, one after the other, the same for the same seed. */
export class Trials {
  frames = 0;
  misread: Difference | null = null;
  readonly tried: TriedDistance[] = [];
  private readonly uniform: () => number;

  constructor(
    private readonly staging: Staging,
    private readonly read: ReadFrame,
    private readonly stopped: () => boolean,
    seed: number,
  ) {
    this.uniform = uniformSource(seed);
  }

  /** Whether nearly all trials read at a distance; null when it was stopped. */
  async verdictAt(distanceM: number): Promise<TrialVerdict | null> {
    let verdict: TrialVerdict | null = null;
    for (let trials = 1, read = 0; verdict === null; trials += 1) {
      if (this.stopped()) return null;
      if (await this.trial(distanceM)) read += 1;
      verdict = verdictOf(read, trials);
      if (verdict) this.tried.push({ distanceM, trials, read });
    }
    return verdict;
  }

  /** Whether all of so many trials read at a distance; null when it was stopped. */
  async allAt(distanceM: number, trials: number): Promise<boolean | null> {
    const missed = await this.firstThat(false, distanceM, trials);
    return missed === null ? null : missed === 'none';
  }

  /** Whether one of so many trials reads at a distance; null when it was stopped. */
  async oneAt(distanceM: number, most: number): Promise<boolean | null> {
    const read = await this.firstThat(true, distanceM, most);
    return read === null ? null : read === 'one';
  }

  private async firstThat(reads: boolean, distanceM: number, most: number): Promise<'one' | 'none' | null> {
    for (let trial = 0; trial < most; trial += 1) {
      if (this.stopped()) return null;
      if ((await this.trial(distanceM)) !== reads) continue;
      this.tried.push({ distanceM, trials: trial + 1, read: reads ? 1 : trial });
      return 'one';
    }
    this.tried.push({ distanceM, trials: most, read: reads ? 0 : most });
    return 'none';
  }

  private async trial(distanceM: number): Promise<boolean> {
    const { code, sizeMm, device, scene, tiltDeg } = this.staging;
    const turned = tiltDeg ?? (this.uniform() * 2 - 1) * largestTiltDeg;
    const pitched = tiltDeg === 0 ? 0 : (this.uniform() * 2 - 1) * largestPitchDeg;
    for (let frame = 0; frame < framesPerTrial; frame += 1) {
      this.frames += 1;
      const text = await this.read(
        renderFrame(code, sizeMm, device, trialView(distanceM, turned, pitched, this.uniform), scene),
      );
      if (text === null) continue;
      const difference = firstDifference(code.payload, text);
      if (difference === null) return true;
      this.misread ??= difference;
    }
    return false;
  }
}
