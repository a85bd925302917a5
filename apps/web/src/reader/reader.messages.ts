import type { RehearsalResult } from '@hapset/contract';
import type { DeviceProfile, ErrorCorrectionLevel, GreyFrame, LookDesign } from '@hapset/core';
import type { FoundCode } from '@hapset/readers';

export interface RehearsalWish {
  readonly payload: string;
  readonly level: ErrorCorrectionLevel;
  /** Null for black squares on white. */
  readonly look: LookDesign | null;
  readonly sizeMm: number;
  readonly devices: readonly DeviceProfile[];
}

export type ReaderWish = { readonly sort: 'rehearse'; readonly wish: RehearsalWish } | { readonly sort: 'find'; readonly frame: GreyFrame };

/** From the worker: of a rehearsal one device after the other, then the end; of a frame the codes in it. */
export type ReaderMessage =
  | { readonly sort: 'device'; readonly result: RehearsalResult }
  | { readonly sort: 'end' }
  | { readonly sort: 'codes'; readonly codes: readonly FoundCode[] }
  | { readonly sort: 'failed'; readonly message: string };
