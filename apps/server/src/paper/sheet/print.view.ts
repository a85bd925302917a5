import type { PrintView } from '@hapset/contract';
import type { PrintRecord } from './sheet-record.js';

/** @param drawn pages, while it is being drawn */
export function toPrintView(
  { id, name, kind, setup, codes, pages, state, fileName, madeAt }: PrintRecord,
  drawn = 0,
): PrintView {
  return {
    id,
    name,
    kind,
    paper: setup.paper,
    lying: setup.lying,
    codes,
    pages,
    drawn: state === 'drawing' ? drawn : pages,
    state,
    fileName,
    madeAt: madeAt.toISOString(),
  };
}
