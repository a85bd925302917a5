/** One interface in front of every reader engine, the same in a worker and in Node. */
import type { GreyFrame, ReaderEngineName } from '@hapset/core';

export interface Reading {
  readonly engine: ReaderEngineName;
  readonly text: string;
}

export interface ReaderEngine {
  readonly name: ReaderEngineName;
  /** The first QR code found in the frame; null when there is none that can be read. */
  read(frame: GreyFrame): Promise<Reading | null>;
}

/** Where an engine's WebAssembly comes from: an address to fetch (pages, workers) or the bytes (Node). Never from outside. */
export type WasmSource = { readonly address: string } | { readonly bytes: Uint8Array };
