import type { UseQueryResult } from '@tanstack/react-query';
import type { ReactElement, ReactNode } from 'react';
import { Link } from 'react-router';
import { buttonClass } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { Panel } from '../../platform/design/panel.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { t } from '../words.js';

interface Props<Data> {
  /** "Services", "Looks": also what is behind "All". */
  readonly title: string;
  readonly to: string;
  readonly query: UseQueryResult<Data>;
  readonly children: (data: Data) => ReactNode;
}

/** On the school's page: a line about a list of its own, and the way to it. */
export function SchoolSummary<Data>({ title, to, query, children }: Props<Data>): ReactElement {
  return (
    <Panel
      title={title}
      action={
        <Link to={to} className={buttonClass()}>
          {t('schoolSummary.all', { title: title.toLowerCase() })}
        </Link>
      }
    >
      {query.isPending && <Loading rows={1} label={t('schoolSummary.loading', { title })} />}
      {hasFailed(query) && <Failed words={wordsFor(query.error)} onRetry={() => void query.refetch()} />}
      {query.data !== undefined && <p className="m-0 text-body">{children(query.data)}</p>}
    </Panel>
  );
}
