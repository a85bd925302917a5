import type { Repair } from '@hapset/core';
import type { ReactElement } from 'react';
import { repairSentence } from '../../platform/wording/repairs.js';

/** What was corrected in a pasted link, in one line. */
export function RepairList({ repairs }: { readonly repairs: readonly Repair[] }): ReactElement {
  return (
    <>
      {repairs.map((repair, index) => {
        const { words, what } = repairSentence(repair);
        return (
          <span key={repair.kind}>
            {index > 0 && ', '}
            {words}
            {what !== '' && <span className="font-mono break-all"> {what}</span>}
          </span>
        );
      })}
    </>
  );
}
