/** What a code is to carry -> what changes in its material's row. */
import { bareAddress } from '@hapset/core';
import { ProblemError } from '../../platform/problem/problem.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';

/**
 * What is carried from now on.
 * @param proven the link without what only counts visitors, as the last check proved it; null where none did
 * @throws ProblemError invalid where that can't be carried
 */
export function carryChange(
  address: string | null,
  carry: MaterialRecord['carry'],
  proven: string | null,
): Pick<MaterialRecord, 'carry' | 'trimmedLink'> {
  if (address === null) throw notCarriable('has no address to choose from');
  if (carry === 'short-link') return { carry, trimmedLink: null };
  if (carry === 'trimmed' && proven === null) throw notCarriable('was not proven to lead to the same page');
  if (carry === 'bare' && bareAddress(proven ?? address) === null)
    throw notCarriable('would not lead to the same page without its scheme');
  return { carry, trimmedLink: carry === 'link' ? null : proven };
}

function notCarriable(message: string): ProblemError {
  return new ProblemError('invalid', 'The code can’t carry that.', { fields: [{ field: 'carry', message }] });
}
