import { routes } from '@hapset/contract';
import { documentText, type PageDocument } from '@hapset/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { call } from '../../platform/api/client.js';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { ago } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { t } from '../words.js';

/** Earlier versions of the page. Restoring one keeps the present one as well. */
export function EarlierPages({
  materialId,
  onTake,
  onClose,
}: {
  readonly materialId: string;
  readonly onTake: (document: PageDocument) => void;
  readonly onClose: () => void;
}): ReactElement {
  const earlier = useQuery({
    queryKey: ['written-page', materialId, 'earlier'],
    queryFn: ({ signal }) => call(routes.earlierPages, { params: { materialId }, signal }),
    gcTime: 0,
  });
  return (
    <Dialog
      title={t('earlierPages.earlierVersions')}
      about={t('earlierPages.earlierVersionsOfThisPage')}
      onClose={onClose}
    >
      {earlier.isPending && <Loading rows={2} label={t('earlierPages.earlierVersionsAreLoading')} />}
      {hasFailed(earlier) && <Failed words={wordsFor(earlier.error)} onRetry={() => void earlier.refetch()} />}
      {earlier.data?.length === 0 && (
        <Empty title={t('earlierPages.noneYet')}>{t('earlierPages.whileYouWriteAVersion')}</Empty>
      )}
      <ul className="m-0 list-none p-0">
        {earlier.data?.map(({ id, replacedAt, document }) => (
          <li key={id} className="flex items-center gap-3 border-t border-line py-2.5 first:border-t-0">
            <span className="min-w-0 flex-1">
              <span className="block text-body font-semibold">{t('earlierPages.until', { ago: ago(replacedAt) })}</span>
              <span className="line-clamp-2 text-small text-muted">
                {documentText(document) || t('earlierPages.anEmptyPage')}
              </span>
            </span>
            <Button onClick={() => onTake(document)}>{t('earlierPages.useThisVersion')}</Button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
