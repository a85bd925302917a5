import type { Carry, CodeDrawing, ErrorCorrectionLevel, Grain, SegmentMode } from '@hapset/core';

/** A payload to be seen as a symbol, for scripts and tests. */
export interface PreviewSymbol {
  readonly payload: string;
  /** Planned at M and raised within its version where none is given. */
  readonly level?: ErrorCorrectionLevel;
}

/** A code while its words are typed. */
export interface SymbolPreview {
  readonly version: number;
  readonly modules: number;
  readonly level: ErrorCorrectionLevel;
  readonly mask: number;
  /** UTF-8 is announced to readers (ECI assignment 26). */
  readonly eci: boolean;
  readonly segments: readonly { readonly mode: SegmentMode; readonly text: string }[];
  readonly charactersUntilGrowth: number;
  readonly charactersToShrink: number | null;
  /** With its quiet zone, one unit a module. */
  readonly svg: string;
}

/** The code of a material: its figures, and how it is drawn in its look. */
export interface CodeView {
  readonly carry: Carry;
  readonly payload: string;
  readonly version: number;
  readonly modules: number;
  readonly level: ErrorCorrectionLevel;
  readonly mask: number;
  readonly grain: Grain;
  readonly charactersUntilGrowth: number;
  /** Characters to remove for the next coarser step; null where there is none. */
  readonly charactersToShrink: number | null;
  readonly drawing: CodeDrawing;
}
