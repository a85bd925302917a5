import type { SheetView } from '@hapset/contract';
import { stateOf } from './print.view.js';
import type { Sheet } from './sheet.entity.js';

/** @param sheet with its print, where it has one */
export function toSheetView({ id, kind, paper, sizeMm, madeAt, fileName, print }: Sheet): SheetView {
  return {
    id,
    kind,
    paper,
    sizeMm,
    madeAt: madeAt.toISOString(),
    fileName,
    state: print ? stateOf(print) : 'done',
  };
}
