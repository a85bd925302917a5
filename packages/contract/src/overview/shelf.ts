import type { CodeView } from '../code/symbol.js';
import type { MaterialView } from '../gather/material.js';
import type { ReadinessView } from './readiness.js';

/** A row of the shelf. */
export interface ShelfRow {
  readonly material: MaterialView;
  readonly code: CodeView | null;
  readonly readiness: ReadinessView;
  readonly lessons: readonly { readonly id: string; readonly name: string }[];
}

/** Materials, the newest first. `next` asks for the following ones; null at the end. */
export interface ShelfPage {
  readonly rows: readonly ShelfRow[];
  /** Give it as `after` for the next page; null at the end. */
  readonly next: string | null;
  readonly total: number;
}
