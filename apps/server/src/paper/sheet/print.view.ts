import type { PrintState, PrintView } from '@hapset/contract';
import type { PrintRecord } from './sheet-record.js';

/** @param more who made it, and how many pages are drawn while it is being drawn */
export function toPrintView(
  print: PrintRecord,
  { author, drawn }: { readonly author: string; readonly drawn: number },
): PrintView {
  const { id, name, kind, setup, codes, pages, fileName, madeAt, origin } = print;
  const state = stateOf(print);
  return {
    id,
    name,
    kind,
    paper: setup.paper,
    lying: setup.lying,
    // Prints of before did not write it down.
    design: setup.design.name ?? null,
    codes,
    pages,
    drawn: state === 'drawing' ? drawn : pages,
    state,
    canBeDrawnAgain: mayBeDrawnAgain(print),
    canBeComposed: origin !== null,
    fileName,
    author,
    madeAt: madeAt.toISOString(),
  };
}

/** Why there is a file, or none. */
export function stateOf({ state, removedAt }: Pick<PrintRecord, 'state' | 'removedAt'>): PrintState {
  return removedAt === null ? state : 'deleted';
}

/** Whether what was on it is kept, though its file is not. */
export function mayBeDrawnAgain({ state, codes }: Pick<PrintRecord, 'state' | 'codes'>): boolean {
  return (state === 'expired' || state === 'erased') && codes > 0;
}
