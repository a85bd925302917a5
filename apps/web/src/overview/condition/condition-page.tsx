/** What the administrator should know of the running server: what is well, and what to do where it is not. */
import { routes, type ConditionCheck, type ConditionState, type ConditionView } from '@hapset/contract';
import { queryOptions, useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { call } from '../../platform/api/client.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Button } from '../../platform/design/button.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { PageHead } from '../../platform/design/page-head.js';
import { StateMark, type Mark } from '../../platform/design/state-mark.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { t } from '../setup/words.js';
import { conditionTitles, conditionWords } from './condition-words.js';

export const conditionQuery = queryOptions({
  queryKey: ['condition'],
  queryFn: ({ signal }): Promise<ConditionView> => call(routes.condition, { signal }),
});

const marks: Readonly<Record<ConditionState, Mark>> = { good: 'done', attention: 'look-at', stop: 'stop' };
const markWords: Readonly<Record<ConditionState, string>> = {
  good: t('condition.good'),
  attention: t('condition.attention'),
  stop: t('condition.stop'),
};

export function ConditionPage(): ReactElement {
  const condition = useQuery(conditionQuery);
  return (
    <>
      <PageHead
        title={t('condition.title')}
        about={condition.data && t('condition.version', { version: condition.data.version })}
        trail={<Link to="/school">{t('setupPage.school')}</Link>}
        actions={
          <Button disabled={condition.isFetching} onClick={() => void condition.refetch()}>
            {t('condition.lookAgain')}
          </Button>
        }
      />
      {condition.isPending && <Loading label={t('condition.loading')} />}
      {hasFailed(condition) && <Failed words={wordsFor(condition.error)} onRetry={() => void condition.refetch()} />}
      {condition.data && (
        <ul
          aria-label={t('condition.title')}
          className="m-0 list-none overflow-hidden rounded-sheet border border-line bg-sheet p-0"
        >
          {condition.data.checks.map((check) => (
            <Check key={check.name} check={check} />
          ))}
        </ul>
      )}
    </>
  );
}

function Check({ check }: { readonly check: ConditionCheck }): ReactElement {
  return (
    <li className="flex items-start gap-3 border-b border-line px-4 py-2.5 last:border-b-0">
      <span className="mt-0.5">
        <StateMark mark={marks[check.state]} words={markWords[check.state]} />
      </span>
      <span className="grid min-w-0 flex-1 gap-x-4 sm:grid-cols-[220px_minmax(0,1fr)]">
        <span className="text-lead font-semibold">{conditionTitles[check.name]}</span>
        <span className="min-w-0 text-body break-words">{conditionWords(check)}</span>
      </span>
    </li>
  );
}
