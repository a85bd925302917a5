import type { SheetView } from '@hapset/contract';
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
    available: !print || print.state === 'done',
  };
}
