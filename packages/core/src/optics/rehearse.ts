/**
 * Finds how far a device reads a printed code, by trials on simulated frames. A trial is an attempt of ten frames
 * with small movements (a third of a second of preview); it reads when any frame reads. Reach is the greatest
 * distance up to which, from the nearest readable distance on, the trials read. Readers are not monotone in distance,
 * so the search walks outwards, coarse first and fine around the limit, and never bisects over untested ground.
 */
import { firstDifference, type Difference } from '../payload/compare.js';
import type { SymbolPlan } from '../symbol/plan.js';
import { quietZoneModules } from '../symbol/plan.js';
import type { LookDesign } from '../look/look.js';
import { renderFrame, type GreyFrame, type View } from './camera.js';
import { focalLengthPx, type DeviceProfile } from './device.js';
import { predictReachM } from './predictor.js';
import type { PrintedCode } from './print.js';
import { uniformSource } from './random.js';

/** Reads a frame; null when nothing was found. */
export type ReadFrame = (frame: GreyFrame) => Promise<string | null>;

export interface RehearsedDevice {
  readonly deviceId: string;
  /** Every trial read from `fromM` up to here, metres; 0 when none did at any distance. */
  readonly reachM: number;
  /** Some trials still read up to here, metres; at least `reachM`. */
  readonly hitAndMissM: number;
  /** What the reader returned when it differed from what was meant; null when all readings agreed. */
  readonly misread: Difference | null;
  /** The nearest distance at which every trial read: from nearest focus, or where the code fills the picture. Metres. */
  readonly fromM: number;
  readonly frames: number;
}

export interface RehearsalOptions {
  /** Asked before each trial; true ends the rehearsal early. */
  readonly stopped?: () => boolean;
  readonly seed?: number;
  /** How the code looks; black squares on white where it is left out. */
  readonly look?: LookDesign | null;
}

const framesPerTrial = 10;
const trialsAtLimit = 6;
const trialsOnTheWay = 2;
/** Frames are taken from up to this turn of the paper: students don't stand exactly in front. Degrees. */
const largestTiltDeg = 25;

/** Rehearses one device. Null when it was stopped. */
export async function rehearseDevice(plan: SymbolPlan, sizeMm: number, device: DeviceProfile, read: ReadFrame, options: RehearsalOptions = {}): Promise<RehearsedDevice | null> {
  const trials = new Trials(plan, sizeMm, device, read, options);
  const nearestM = nearestDistanceM(plan.modules, sizeMm, device);
  const expectedM = Math.max(predictReachM(device, sizeMm, plan.modules), nearestM * 1.2);
  let fromM = 0;
  let reachM = 0;
  let hitAndMissM = 0;
  let missedM = 0;
  for (const [distanceM, count] of wayOut(nearestM, expectedM)) {
    const rate = await trials.rateAt(distanceM, count);
    if (rate === null) return null;
    if (rate > 0) hitAndMissM = distanceM;
    if (rate === 1 && missedM === 0) {
      if (reachM === 0) fromM = distanceM;
      reachM = distanceM;
    } else if (reachM > 0 && missedM === 0) missedM = distanceM;
    // Too near, a reader can be lost in the noise of large modules; a student steps back, so the way goes on.
    // What has read nowhere up to the expected limit does not begin to beyond it.
    if (rate === 0 && (reachM > 0 || distanceM >= expectedM)) break;
  }
  if (missedM > 0) {
    const middleM = (reachM + missedM) / 2;
    const rate = await trials.rateAt(middleM, trialsAtLimit);
    if (rate === null) return null;
    if (rate === 1) reachM = middleM;
    if (rate > 0) hitAndMissM = Math.max(hitAndMissM, middleM);
  }
  return {
    deviceId: device.id,
    reachM: round2(reachM),
    hitAndMissM: round2(Math.max(hitAndMissM, reachM)),
    fromM: round2(fromM),
    misread: trials.misread,
    frames: trials.frames,
  };
}

/** Where the code and its quiet zone fill nine tenths of the picture's height, or the nearest focus. Metres. */
export function nearestDistanceM(modules: number, sizeMm: number, device: DeviceProfile): number {
  const wholeMm = (sizeMm / modules) * (modules + 2 * quietZoneModules);
  return Math.max(device.nearestFocusM, (focalLengthPx(device) * wholeMm) / (device.previewHeightPx * 0.9) / 1000);
}

/** Distances from near to far with the trials each gets: few where it surely reads, many around the expected limit. */
function wayOut(nearestM: number, expectedM: number): readonly (readonly [number, number])[] {
  const way: [number, number][] = [[nearestM, 1]];
  for (const share of [0.4, 0.75]) way.push([expectedM * share, trialsOnTheWay]);
  for (let share = 0.85; share < 2.4; share += share < 1.25 ? 0.08 : 0.16) way.push([expectedM * share, trialsAtLimit]);
  return way.filter(([distanceM], index) => index === 0 || distanceM > nearestM);
}

/** The view of one frame of a trial: the hand moves by parts of pixels and a few degrees. */
export function trialView(distanceM: number, trialTiltDeg: number, uniform: () => number): View {
  const around = (width: number): number => (uniform() - 0.5) * width;
  return {
    distanceM: distanceM * (1 + around(0.02)),
    tiltDeg: trialTiltDeg + around(4),
    rollDeg: around(12),
    shiftXPx: around(40),
    shiftYPx: around(30),
    seed: Math.floor(uniform() * 2 ** 31),
  };
}

class Trials {
  frames = 0;
  misread: Difference | null = null;
  private readonly uniform: () => number;
  private readonly printed: PrintedCode;

  constructor(
    private readonly plan: SymbolPlan,
    private readonly sizeMm: number,
    private readonly device: DeviceProfile,
    private readonly read: ReadFrame,
    private readonly options: RehearsalOptions,
  ) {
    this.uniform = uniformSource(options.seed ?? 1);
    this.printed = { ...plan, look: options.look ?? null };
  }

  /** Share of trials that read, 0 to 1; gives up early once it is clear that the limit lies nearer. Null when stopped. */
  async rateAt(distanceM: number, count: number): Promise<number | null> {
    let read = 0;
    for (let trial = 0; trial < count; trial += 1) {
      if (this.options.stopped?.()) return null;
      if (await this.trial(distanceM)) read += 1;
      else if (read === 0 && trial === 2) return 0;
    }
    return read / count;
  }

  private async trial(distanceM: number): Promise<boolean> {
    const tiltDeg = this.uniform() * largestTiltDeg;
    for (let frame = 0; frame < framesPerTrial; frame += 1) {
      this.frames += 1;
      const text = await this.read(renderFrame(this.printed, this.sizeMm, this.device, trialView(distanceM, tiltDeg, this.uniform)));
      if (text === null) continue;
      const difference = firstDifference(this.plan.payload, text);
      if (difference === null) return true;
      this.misread ??= difference;
    }
    return false;
  }
}

function round2(value: number): number {
  return Math.round(value * 100) / 100;
}
