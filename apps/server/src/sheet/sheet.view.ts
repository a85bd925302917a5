import type { SheetView } from '@hapset/contract';
import type { Sheet } from './sheet.entity.js';

export function toSheetView({ id, kind, paper, sizeMm, madeAt, fileName }: Sheet): SheetView {
  return { id, kind, paper, sizeMm, madeAt: madeAt.toISOString(), fileName };
}
