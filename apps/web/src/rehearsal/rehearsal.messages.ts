import type { RehearsalResult } from '@hapset/contract';
import type { DeviceProfile, ErrorCorrectionLevel, LookDesign } from '@hapset/core';

export interface RehearsalWish {
  readonly payload: string;
  readonly level: ErrorCorrectionLevel;
  /** Null for black squares on white. */
  readonly look: LookDesign | null;
  readonly sizeMm: number;
  readonly devices: readonly DeviceProfile[];
}

/** From the worker: one device after the other, then the end. */
export type RehearsalMessage = { readonly sort: 'device'; readonly result: RehearsalResult } | { readonly sort: 'end' } | { readonly sort: 'failed'; readonly message: string };
