/** What the decoding process is asked and answers. */
import type { Media } from '@hapset/core';
import type { VariantName } from '../storage/variant-name.js';

/** A picture may have 50 megapixels: a large phone's photograph, or A3 at 400 dots an inch. */
export const mostPixels = 50_000_000;

export type DecoderTask =
  /** Tells what a local file is; a picture is turned upright and encoded again beside it, with sizes for phones. */
  | { readonly kind: 'prepare'; readonly file: string }
  /** What is in a file that was kept before anybody looked into it. */
  | { readonly kind: 'look-into'; readonly file: string }
  /** A picture for the middle of codes: PNG of at most so many pixels a side. */
  | { readonly kind: 'centre'; readonly file: string; readonly widestPx: number }
  /** A photo for a card: JPEG, upright, cut in its middle, without anything that a camera wrote into it. */
  | { readonly kind: 'photo'; readonly picture: Uint8Array; readonly widthPx: number; readonly heightPx: number }
  /** A page's own picture, small: WebP. */
  | { readonly kind: 'preview'; readonly picture: Uint8Array; readonly widthPx: number; readonly heightPx: number };

export interface PreparedVariant {
  readonly name: VariantName;
  readonly file: string;
  readonly contentType: string;
  readonly sizeBytes: number;
}

/** Of a sound or film. Codecs by their short names (`avc`, `aac`); null without such a track. */
export interface FoundTracks {
  readonly videoCodec: string | null;
  readonly audioCodec: string | null;
  readonly durationS: number;
}

/** Pages of a PDF; `password` where it asks for one, null where it is damaged. */
export type FoundPages = number | 'password' | null;

/** What is in a file, where that is to be known. */
export interface LookedInto {
  readonly contentType: string;
  readonly media: Media;
  /** Of a sound or film: `unsupported` for a container that is not known; null where it is damaged. Absent for all else. */
  readonly tracks?: FoundTracks | 'unsupported' | null;
  /** Of a PDF. */
  readonly pages?: FoundPages;
}

export interface PreparedContent extends LookedInto {
  readonly hash: string;
  readonly file: string;
  readonly sizeBytes: number;
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
  : Task extends { kind: 'look-into' }
    ? LookedInto
    : DecodedPicture;

/** `too-many-pixels` says how many millions; `too-costly`: it took more time or memory than it may. */
export type DecoderProblem =
  | { readonly reason: 'unreadable' | 'too-costly' }
  | { readonly reason: 'too-many-pixels'; readonly megapixels: number };

export type DecoderAnswer =
  | { readonly ok: true; readonly result: PreparedContent | LookedInto | DecodedPicture }
  | ({ readonly ok: false } & DecoderProblem);
