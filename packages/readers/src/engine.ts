/** One interface in front of every reader engine, the same in a worker and in Node. */
import type { Corners, GreyFrame, ReaderEngineName } from '@hapset/core';

export interface Reading {
  readonly engine: ReaderEngineName;
  readonly text: string;
  /** As they stand in the symbol; null where the engine hands over text alone. */
  readonly bytes: Uint8Array | null;
  /** Of the symbol; null where the engine does not say. */
  readonly version: number | null;
  /** Upper left, upper right, lower right, lower left, in pixels; null where the engine does not say. */
  readonly corners: Corners | null;
  /** Milliseconds that it took. */
  readonly tookMs: number;
}

export interface ReaderEngine {
  readonly name: ReaderEngineName;
  /** The first QR code found in the frame; null when there is none that can be read. */
  read(frame: GreyFrame): Promise<Reading | null>;
}

/** Where an engine's WebAssembly comes from: an address to fetch (pages, workers) or the bytes (Node). Never from outside. */
export type WasmSource = { readonly address: string } | { readonly bytes: Uint8Array };
