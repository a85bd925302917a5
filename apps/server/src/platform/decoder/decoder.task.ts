/** What the decoding process is asked and answers. */
import type { Media } from '@hapset/contract';
import type { VariantName } from '../storage/variant-name.js';

/** A picture may have 50 megapixels: a large phone's photograph, or A3 at 400 dots an inch. */
export const mostPixels = 50_000_000;

export type DecoderTask =
  /** Tells what a local file is; a picture is turned upright and encoded again beside it, with sizes for phones. */
  | { readonly kind: 'prepare'; readonly file: string }
  /** A picture for the middle of codes: PNG of at most so many pixels a side. */
  | { readonly kind: 'centre'; readonly file: string; readonly widestPx: number }
  /** A page's own picture, small: WebP. */
  | { readonly kind: 'preview'; readonly picture: Uint8Array; readonly widthPx: number; readonly heightPx: number };

export interface PreparedVariant {
  readonly name: VariantName;
  readonly file: string;
  readonly contentType: string;
  readonly sizeBytes: number;
}

export interface PreparedContent {
  readonly hash: string;
  readonly file: string;
  readonly sizeBytes: number;
  readonly contentType: string;
  readonly media: Media;
  readonly widthPx: number | null;
  readonly heightPx: number | null;
  readonly variants: readonly PreparedVariant[];
}

export interface DecodedPicture {
  readonly bytes: Uint8Array;
  readonly widthPx: number;
  readonly heightPx: number;
}

export type DecoderResult<Task extends DecoderTask> = Task extends { kind: 'prepare' }
  ? PreparedContent
  : DecodedPicture;

/** `too-many-pixels` says how many millions; `too-costly`: it took more time or memory than it may. */
export type DecoderProblem =
  | { readonly reason: 'unreadable' | 'too-costly' }
  | { readonly reason: 'too-many-pixels'; readonly megapixels: number };

export type DecoderAnswer =
  { readonly ok: true; readonly result: PreparedContent | DecodedPicture } | ({ readonly ok: false } & DecoderProblem);
