import type { RehearsalResult } from '@hapset/contract';
import type {
  DeviceProfile,
  Difference,
  ErrorCorrectionLevel,
  GreyFrame,
  LimitingCause,
  LookDesign,
  ReadableRange,
  ReaderEngineName,
  Scene,
} from '@hapset/core';
import type { FoundCode, Reading } from '@hapset/readers';

/** A code as it is printed. */
export interface RehearsedCode {
  readonly payload: string;
  readonly level: ErrorCorrectionLevel;
  /** Null for black squares on white. */
  readonly look: LookDesign | null;
  readonly sizeMm: number;
}

export interface RehearsalRequest extends RehearsedCode {
  readonly devices: readonly DeviceProfile[];
  /** Left out for a plain print on a wall. */
  readonly scene?: Scene;
  /** Of the one device: how far it read a code of the same shape. */
  readonly like?: ReadableRange | null;
}

/** One attempt of a student, to be looked at. */
export interface AttemptRequest extends RehearsedCode {
  readonly device: DeviceProfile;
  readonly distanceM: number;
  readonly tiltDeg: number;
  readonly scene: Scene;
}

export interface LimitsRequest extends RehearsedCode {
  readonly device: DeviceProfile;
  readonly distanceM: number;
}

/** What a camera saw, and what each engine made of its first frame. */
export interface SeenAttempt {
  readonly frame: GreyFrame;
  /** Frames that the device's own engine read as meant. */
  readonly read: number;
  readonly of: number;
  readonly readings: readonly SeenReading[];
}

export interface SeenReading {
  readonly engine: ReaderEngineName;
  readonly reading: Reading | null;
  /** Where it says something else than was meant. */
  readonly difference: Difference | null;
}

export type ReaderRequest =
  | { readonly kind: 'rehearse'; readonly request: RehearsalRequest }
  | { readonly kind: 'flat'; readonly request: RehearsedCode }
  | { readonly kind: 'attempt'; readonly request: AttemptRequest }
  | { readonly kind: 'limits'; readonly request: LimitsRequest }
  | { readonly kind: 'find'; readonly frame: GreyFrame };

/** From the worker: of a rehearsal one device after the other, then the end; of everything else one answer. */
export type ReaderMessage =
  | { readonly kind: 'device'; readonly result: RehearsalResult }
  | { readonly kind: 'end' }
  | { readonly kind: 'flat'; readonly unreadBy: readonly ReaderEngineName[] }
  | { readonly kind: 'attempt'; readonly seen: SeenAttempt }
  | { readonly kind: 'limits'; readonly causes: readonly LimitingCause[] }
  | { readonly kind: 'codes'; readonly codes: readonly FoundCode[] }
  | { readonly kind: 'failed'; readonly message: string };
