import type { CodeView } from '../code/symbol.js';
import type { MaterialView } from '../gather/material.js';
import type { MaterialKind } from '@hapset/core';
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

/** How the shelf may be sorted; `state` has what stops students first. */
export const shelfOrders = ['newest', 'oldest', 'title', 'kind', 'state'] as const;
/** One of them. */
export type ShelfOrder = (typeof shelfOrders)[number];

/** What was found as one types, the best first, a few of each sort. */
export interface SearchResults {
  readonly lessons: readonly { readonly id: string; readonly name: string; readonly date: string | null }[];
  readonly stations: readonly {
    readonly stationId: string;
    readonly lessonId: string;
    readonly name: string;
    readonly lessonName: string;
  }[];
  readonly materials: readonly { readonly id: string; readonly title: string; readonly kind: MaterialKind }[];
}
