/** What was made: the newest alone, and the list of all before. */
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import type { ReactElement, ReactNode } from 'react';
import { Button } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { Panel } from '../../platform/design/panel.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { PrintRow } from './print-row.js';
import { printQuery, printsQuery } from './sheet.queries.js';
import { t } from '../words.js';

/** The one that was just made, with nothing beside it. */
export function JustMade({ printId }: { readonly printId: string }): ReactElement {
  const print = useQuery(printQuery(printId));
  if (print.isPending) return <Loading rows={1} label={t('prints.yourSheetsAreLoading')} />;
  if (hasFailed(print)) return <Failed words={wordsFor(print.error)} onRetry={() => void print.refetch()} />;
  return (
    <ul className="m-0 list-none rounded-small bg-marker-soft px-4 py-1" aria-label={t('prints.justMade')}>
      <PrintRow print={print.data} main />
    </ul>
  );
}

/** All of one's prints, page by page. @param without the one that is shown beside the list */
export function Prints({
  without = null,
  empty,
}: {
  readonly without?: string | null;
  readonly empty?: ReactNode;
}): ReactElement | null {
  const prints = useInfiniteQuery(printsQuery);
  if (prints.isPending) return <Loading rows={1} label={t('prints.earlierSheetsAreLoading')} />;
  if (hasFailed(prints)) return <Failed words={wordsFor(prints.error)} onRetry={() => void prints.refetch()} />;
  const rows = prints.data.pages.flatMap((page) => page.rows).filter(({ id }) => id !== without);
  const total = (prints.data.pages[0]?.total ?? 0) - (without === null ? 0 : 1);
  if (rows.length === 0) return empty === undefined ? null : <Empty title={t('prints.nothingMadeYet')}>{empty}</Empty>;
  return (
    <Panel
      title={t('prints.earlier')}
      aside={rows.length < total ? t('prints.of', { shown: rows.length, total }) : undefined}
    >
      <ul className="m-0 list-none p-0" aria-label={t('prints.earlier')}>
        {rows.map((print) => (
          <PrintRow key={print.id} print={print} />
        ))}
      </ul>
      {prints.hasNextPage && (
        <Button className="mt-3" disabled={prints.isFetchingNextPage} onClick={() => void prints.fetchNextPage()}>
          {t('prints.showMore')}
        </Button>
      )}
    </Panel>
  );
}
