/**
 * Finds how far a device reads a printed code, by trials on simulated frames. Reach is the greatest distance up to which, from
 * the nearest readable distance on, at least 95 % of trials read. Readers are not monotone in distance, so the search begins
 * near by, walks outwards, and never bisects over untested ground; only the last step is halved.
 */
import type { Difference } from '../../code/payload/compare.js';
import type { SymbolPlan } from '../../code/symbol/plan.js';
import { quietZoneModules } from '../../code/symbol/plan.js';
import type { LookDesign } from '../../code/look/look.js';
import { focalLengthPx, type DeviceProfile } from '../../school/device/device.js';
import { predictReachM } from './predictor.js';
import { usualScene, type Scene } from './scene.js';
import { errorRate } from './sequential.js';
import { Trials, type ReadFrame, type TriedDistance } from './trial.js';

/** From where to where a device reads a code, metres. */
export interface RehearsedDevice {
  readonly deviceId: string;
  /** From `fromM` up to here nearly all trials read, metres; 0 when that was so at no distance. */
  readonly reachM: number;
  /** Some trials still read up to here, metres; at least `reachM`. */
  readonly hitAndMissM: number;
  /** What the reader returned when it differed from what was meant; null when all readings agreed. */
  readonly misread: Difference | null;
  /** The nearest distance at which it reads: from nearest focus, or where the code fills the picture. Metres. */
  readonly fromM: number;
  readonly frames: number;
  /** Of each answer at a distance being right, 0 to 1. */
  readonly confidence: number;
  /** What was tried, in the order in which it was. */
  readonly tried: readonly TriedDistance[];
}

/** What a rehearsal is given besides the code. */
export interface RehearsalOptions {
  /** Asked before each trial; true ends the rehearsal early. */
  readonly stopped?: () => boolean;
  readonly seed?: number;
  /** How the code looks; black squares on white where it is left out. */
  readonly look?: LookDesign | null;
  readonly scene?: Scene;
  /**
   * What the same device made of a code of the same version, level, look and size: how far they are read is told by their
   * modules, not by what they say. It is confirmed by trials with this code, and searched for again where they miss.
   */
  readonly like?: ReadableRange | null;
  /** Turn of the paper, degrees; null or left out for up to 25 to either side. */
  readonly tiltDeg?: number | null;
}

/** Outwards from there in such steps; the limit is told to a half of the last one. */
const beginsAt = 0.9;
const stepOut = 1.09;
const leastShare = 0.1;
const trialsOnTheWay = 3;
const trialsBeyond = 4;

/** Rehearses one device. Null when it was stopped. */
export async function rehearseDevice(
  plan: SymbolPlan,
  sizeMm: number,
  device: DeviceProfile,
  read: ReadFrame,
  options: RehearsalOptions = {},
): Promise<RehearsedDevice | null> {
  const { stopped = () => false, seed = 1, look = null, scene = usualScene, tiltDeg = null, like = null } = options;
  const trials = new Trials({ code: { ...plan, look }, sizeMm, device, scene, tiltDeg }, read, stopped, seed);
  const search = new ReachSearch(
    trials,
    nearestDistanceM(plan.modules, sizeMm, device),
    predictReachM(device, sizeMm, plan.modules),
    like,
  );
  const found = await search.run();
  return (
    found && {
      deviceId: device.id,
      ...found,
      misread: trials.misread,
      frames: trials.frames,
      confidence: 1 - errorRate,
      tried: trials.tried.map(({ distanceM, ...counts }) => ({ distanceM: round2(distanceM), ...counts })),
    }
  );
}

/** Where the code and its quiet zone fill nine tenths of the picture's height, or the nearest focus. Metres. */
export function nearestDistanceM(modules: number, sizeMm: number, device: DeviceProfile): number {
  const wholeMm = (sizeMm / modules) * (modules + 2 * quietZoneModules);
  return Math.max(device.nearestFocusM, (focalLengthPx(device) * wholeMm) / (device.previewHeightPx * 0.9) / 1000);
}

/** From where to where it reads. */
export type ReadableRange = Pick<RehearsedDevice, 'reachM' | 'hitAndMissM' | 'fromM'>;

class Stopped extends Error {}

class ReachSearch {
  /** Distances at which enough trials read. */
  private readonly proven = new Set<number>();

  constructor(
    private readonly trials: Trials,
    private readonly nearestM: number,
    private readonly predictedM: number,
    private readonly like: ReadableRange | null,
  ) {}

  async run(): Promise<ReadableRange | null> {
    try {
      if (this.like && (await this.confirms(this.like))) {
        const { fromM, reachM, hitAndMissM } = this.like;
        return { fromM, reachM, hitAndMissM };
      }
      return await this.search();
    } catch (error) {
      if (error instanceof Stopped) return null;
      throw error;
    }
  }

  /** Trials where the other code was read last, and near by. */
  private async confirms({ fromM, reachM }: ReadableRange): Promise<boolean> {
    return reachM > 0 && (await this.allAt(fromM)) && (await this.readsAt(reachM));
  }

  private async search(): Promise<ReadableRange> {
    const expectedM = Math.max(this.predictedM, this.nearestM * 1.1);
    const fromM = await this.begin(expectedM);
    if (fromM === null) return { reachM: 0, hitAndMissM: round2(await this.hitsBeyond(this.nearestM, 0)), fromM: 0 };
    let [reachM, missedM] = await this.walk(fromM, expectedM);
    if (missedM !== null) {
      const middleM = Math.sqrt(reachM * missedM);
      if (await this.readsAt(middleM)) reachM = middleM;
      else missedM = middleM;
    }
    // Where it read last decides, so a few trials are not enough there.
    if (!this.proven.has(reachM) && !(await this.readsAt(reachM)))
      [reachM, missedM] = await this.inwards(fromM, reachM);
    return {
      reachM: round2(reachM),
      hitAndMissM: round2(await this.hitsBeyond(missedM ?? reachM * stepOut, reachM)),
      fromM: round2(fromM),
    };
  }

  /** The nearest distance at which it reads; too near, a reader can be lost in the noise of large modules. Null where there is none. */
  private async begin(expectedM: number): Promise<number | null> {
    for (let distanceM = this.nearestM; distanceM <= expectedM; distanceM = Math.max(distanceM * 1.35, expectedM * 0.3))
      if (await this.allAt(distanceM)) return distanceM;
    // Far less than was expected: from where it is reached at last, inwards.
    for (let share = beginsAt; share > leastShare; share /= 1.25) {
      const distanceM = expectedM * share;
      if (distanceM > this.nearestM && (await this.readsAt(distanceM))) return distanceM;
    }
    return null;
  }

  /** Outwards to where it no longer reads: the last that read, and the first that did not. */
  private async walk(fromM: number, expectedM: number): Promise<readonly [number, number | null]> {
    let reachM = fromM;
    for (const share of [0.5, beginsAt]) {
      const distanceM = expectedM * share;
      if (distanceM <= reachM) continue;
      if (!(await this.surelyAt(distanceM))) return this.inwards(reachM, distanceM);
      reachM = distanceM;
    }
    for (let distanceM = reachM * stepOut; distanceM < expectedM * 4; distanceM *= stepOut) {
      if (!(await this.readsAt(distanceM))) return [reachM, distanceM];
      reachM = distanceM;
    }
    return [reachM, null];
  }

  /** Between a distance that read and a far one that did not, step by step from the near one. */
  private async inwards(readM: number, missedM: number): Promise<readonly [number, number]> {
    let reachM = readM;
    for (let distanceM = Math.max(reachM * stepOut, missedM * 0.6); distanceM < missedM; distanceM *= stepOut) {
      if (!(await this.readsAt(distanceM))) return [reachM, distanceM];
      reachM = distanceM;
    }
    return [reachM, missedM];
  }

  /** How far some trials still read. */
  private async hitsBeyond(fromM: number, reachM: number): Promise<number> {
    let hitM = reachM;
    for (let distanceM = fromM; distanceM < fromM * 3; distanceM *= stepOut) {
      const hit = await this.trials.oneAt(distanceM, trialsBeyond);
      if (hit === null) throw new Stopped();
      if (!hit) break;
      hitM = distanceM;
    }
    return hitM;
  }

  /** Well within reach a few trials that all read are enough; if one is lost, it is looked into as anywhere. */
  private async surelyAt(distanceM: number): Promise<boolean> {
    return (await this.allAt(distanceM)) || this.readsAt(distanceM);
  }

  private async allAt(distanceM: number): Promise<boolean> {
    const all = await this.trials.allAt(distanceM, trialsOnTheWay);
    if (all === null) throw new Stopped();
    return all;
  }

  private async readsAt(distanceM: number): Promise<boolean> {
    const verdict = await this.trials.verdictAt(distanceM);
    if (verdict === null) throw new Stopped();
    if (verdict === 'reads') this.proven.add(distanceM);
    return verdict === 'reads';
  }
}

function round2(value: number): number {
  return Math.round(value * 100) / 100;
}
