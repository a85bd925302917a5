/** Is it on paper, and is what hangs on the wall what would be printed now? */
import type { LookDesign } from '../../code/look/look.js';
import type { ErrorCorrectionLevel } from '../../code/symbol/versions.js';
import type { AnswerState } from '../../platform/answer-state.js';
import { backFields, faceFields, type FaceField, type TextField } from '../face/fields.js';

/** What may differ between a sheet and what would be printed now, the most important first. */
export const paperChanges = ['payload', 'level', 'look', 'size', ...faceFields, 'back'] as const;
/** One of them: of the code, a text of the front, or the back. */
export type PaperChange = 'payload' | 'level' | 'look' | 'size' | FaceField | 'back';
/** What of a code is on paper, or would be. */
export interface PrintedFacts {
  readonly payload: string;
  /** Null where it is not known. */
  readonly level: ErrorCorrectionLevel | null;
  readonly look: LookDesign;
  readonly sizeMm: number;
  /** Texts that the sheet shows, as they are. */
  readonly texts: Readonly<Partial<Record<TextField, string>>>;
}

/** Whether it is on paper, and whether that still says the same. */
export interface PaperAnswer {
  readonly state: AnswerState;
  readonly changed: readonly PaperChange[];
}

/**
 * Printed before the change: the sheet on the wall says something else, or has a code of another size, than one made now.
 * @param now with the texts that the printed sheet shows
 */
export function paperAnswer(printed: PrintedFacts | null, now: PrintedFacts): PaperAnswer {
  if (printed === null) return { state: 'not-yet', changed: [] };
  const changed = [...codeChanges(printed, now), ...textChanges(printed, now)];
  return { state: changed.length > 0 ? 'look-at' : 'done', changed };
}

function codeChanges(printed: PrintedFacts, now: PrintedFacts): readonly PaperChange[] {
  const changed: PaperChange[] = [];
  if (printed.payload !== now.payload) changed.push('payload');
  // A new payload has a symbol of its own; its level is no second change.
  else if (printed.level !== null && now.level !== null && printed.level !== now.level) changed.push('level');
  if (JSON.stringify(printed.look) !== JSON.stringify(now.look)) changed.push('look');
  if (Math.abs(printed.sizeMm - now.sizeMm) >= 1) changed.push('size');
  return changed;
}

function textChanges(printed: PrintedFacts, now: PrintedFacts): readonly PaperChange[] {
  const isOther = (field: TextField): boolean =>
    field in printed.texts && (printed.texts[field] ?? '') !== (now.texts[field] ?? '');
  // The address in letters goes with the code.
  const face = faceFields.filter((field) => isOther(field) && (field !== 'address' || printed.payload === now.payload));
  return [...face, ...(backFields.some(isOther) ? (['back'] as const) : [])];
}
