import type { Difference, LookDesign, ReaderEngineName, RehearsedDevice, Scene } from '@hapset/core';
import type { DeviceView } from '../school/device.js';

/** A rehearsal that belongs to no material, for scripts: a code at a size, and one camera. */
export interface AskRehearsal {
  readonly payload: string;
  /** Side of the symbol without quiet zone, millimetres. */
  readonly sizeMm: number;
  readonly device: AskedCamera;
  /** A laser print on a wall in the evening where it is left out. */
  readonly scene?: Scene;
}

/** A camera for a rehearsal without a device of the school. */
export interface AskedCamera {
  /** Preview stream, pixels; 16:9 where no height is given. */
  readonly widthPx: number;
  readonly heightPx?: number;
  /** Horizontal field of view, degrees. */
  readonly fovDeg: number;
  /** Sigma in preview pixels. */
  readonly blurPx: number;
  /** Sigma in grey levels 0-255. */
  readonly noise: number;
  readonly engine: ReaderEngineName;
  /** Metres; 0.1 where it is left out. */
  readonly nearestFocusM?: number;
}

/** A rehearsal that waits, by its id. */
export interface RehearsalAsked {
  readonly id: string;
}

/** How far a rehearsal for scripts is, and its result. */
export interface AskedRehearsalView {
  readonly id: string;
  readonly state: 'working' | 'done' | 'failed';
  /** What the predictor said at once, metres. */
  readonly predictedM: number;
  /** Null until it is done. */
  readonly result: AskedRehearsalResult | null;
}

/** From where to where the code was read, metres. */
export interface AskedRehearsalResult {
  readonly reachM: number;
  readonly hitAndMissM: number;
  readonly fromM: number;
  /** Of each answer at a distance, 0 to 1. */
  readonly confidence: number;
  readonly misread: Difference | null;
  /** In the order of distances. */
  readonly passRates: readonly {
    readonly distanceM: number;
    readonly trials: number;
    /** Share that read, 0 to 1. */ readonly rate: number;
  }[];
}

/** What is rehearsed for a code, and what came of it. */
export interface RehearsalView {
  /** Names what is rehearsed: payload, level, look, size and devices. Results are handed in under it. */
  readonly key: string;
  readonly sizeMm: number;
  /** Chosen by hand; null where it is computed. */
  readonly chosenSizeMm: number | null;
  /** What the school's paper holds. */
  readonly largestMm: number;
  readonly distanceM: number;
  /** The station's own; null where it is the lesson's, or none. */
  readonly ownDistanceM: number | null;
  readonly devices: readonly DeviceView[];
  /** How the code looks; null for black squares on white. */
  readonly look: LookDesign | null;
  /** What the same devices made of another code of this shape, to begin with; null where nothing is to be rehearsed. */
  readonly like: readonly RehearsalResult[] | null;
  /** Null until it was rehearsed as it is now. */
  readonly results: readonly RehearsalResult[] | null;
  /** Engines that can't read it even flat and straight at 150 dots an inch; null until it was rehearsed. */
  readonly unreadBy: readonly ReaderEngineName[] | null;
  readonly rehearsedAt: string | null;
}

/** What the engine that a device resembles makes of it, which decides; and the others, as far as they were asked. */
export interface RehearsalResult extends RehearsedDevice {
  readonly others: readonly OtherReader[];
}

/** What another engine made of the same frames. */
export interface OtherReader extends Pick<RehearsedDevice, 'reachM' | 'misread'> {
  readonly engine: ReaderEngineName;
}

/** Results that a page computed, for the key that it was given. */
export interface SaveRehearsal {
  readonly results: readonly RehearsalResult[];
  /** Engines that could not read it flat and straight. */
  readonly unreadBy: readonly ReaderEngineName[];
}
