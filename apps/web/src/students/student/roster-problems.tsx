import type { RosterProblem } from '@hapset/core';
import { useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { Panel } from '../../platform/design/panel.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { rosterProblemSentence } from '../../platform/wording/students.js';
import { t } from '../words.js';

const shownAtOnce = 6;

/** What is not right, each with its row; good rows are imported all the same. */
export function RosterProblems({ problems }: { readonly problems: readonly RosterProblem[] }): ReactElement | null {
  const [all, setAll] = useState(false);
  if (problems.length === 0) return null;
  const leftOut = problems.filter((problem) => problem.leftOut).length;
  return (
    <Panel
      mark={<StateMark mark="look-at" words={t('rosterProblems.needsAttention')} />}
      title={t('rosterProblems.rowsNeedAttention', { count: problems.length })}
      aside={leftOut === 0 ? t('rosterProblems.noRowLeftOut') : t('rosterProblems.leftOutAllOthersAre', { leftOut })}
    >
      <ul className="m-0 list-none p-0 text-row" aria-label={t('rosterProblems.rowsThatNeedAttention')}>
        {(all ? problems : problems.slice(0, shownAtOnce)).map((problem) => (
          <li key={`${problem.row} ${problem.reason}`} className="py-0.5 wrap-anywhere">
            {rosterProblemSentence(problem)}
          </li>
        ))}
      </ul>
      {problems.length > shownAtOnce && !all && (
        <Button className="mt-2" onClick={() => setAll(true)}>
          {t('rosterProblems.showAll', { number: problems.length })}
        </Button>
      )}
    </Panel>
  );
}
