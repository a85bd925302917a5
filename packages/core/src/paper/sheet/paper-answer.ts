/** Is it on paper, and is what hangs on the wall what would be printed now? */
import type { LookDesign } from '../../code/look/look.js';
import type { ErrorCorrectionLevel } from '../../code/symbol/versions.js';
import type { AnswerState } from '../../platform/answer-state.js';

/** What may differ between a sheet and what would be printed now. */
export const paperChanges = ['payload', 'level', 'look', 'size'] as const;
/** One of them. */
export type PaperChange = (typeof paperChanges)[number];
/** What of a code stands on paper, or would. */
export interface PrintedFacts {
  readonly payload: string;
  /** Null where it is not known. */
  readonly level: ErrorCorrectionLevel | null;
  readonly look: LookDesign;
  readonly sizeMm: number;
}

/** Whether it is on paper, and whether that still says the same. */
export interface PaperAnswer {
  readonly state: AnswerState;
  readonly changed: readonly PaperChange[];
}

/** Printed before the change: the code on the wall says something else, or has another size, than a sheet made now. */
export function paperAnswer(printed: PrintedFacts | null, now: PrintedFacts): PaperAnswer {
  if (printed === null) return { state: 'not-yet', changed: [] };
  const changed: PaperChange[] = [];
  if (printed.payload !== now.payload) changed.push('payload');
  // A new payload has a symbol of its own; its level is no second change.
  else if (printed.level !== null && now.level !== null && printed.level !== now.level) changed.push('level');
  if (JSON.stringify(printed.look) !== JSON.stringify(now.look)) changed.push('look');
  if (Math.abs(printed.sizeMm - now.sizeMm) >= 1) changed.push('size');
  return { state: changed.length > 0 ? 'look-at' : 'done', changed };
}
