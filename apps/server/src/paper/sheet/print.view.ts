import type { PrintView } from '@hapset/contract';
import type { PrintRecord } from './sheet-record.js';

export function toPrintView({
  id,
  name,
  kind,
  setup,
  codes,
  pages,
  drawn,
  state,
  fileName,
  madeAt,
}: PrintRecord): PrintView {
  return {
    id,
    name,
    kind,
    paper: setup.paper,
    lying: setup.lying,
    codes,
    pages,
    drawn,
    state,
    fileName,
    madeAt: madeAt.toISOString(),
  };
}
