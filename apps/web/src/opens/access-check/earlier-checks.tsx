import { fillPath, routes } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { call } from '../../platform/api/client.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { materialKeys } from '../../gather/material/material.keys.js';
import { dayAndTime } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { wordsOfVerdict } from '../../platform/wording/verdicts.js';
import { t } from '../words.js';

/** What was found at earlier openings; asked for when somebody wants to know. */
export function EarlierChecks({ materialId }: { readonly materialId: string }): ReactElement {
  const [open, setOpen] = useState(false);
  const earlier = useQuery({
    queryKey: materialKeys.earlierChecks(materialId),
    queryFn: ({ signal }) => call(routes.earlierChecks, { params: { materialId }, signal }),
    enabled: open,
  });
  return (
    <details className="mt-1 text-small text-muted" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="w-fit cursor-pointer py-1">{t('earlierChecks.earlierChecks')}</summary>
      {hasFailed(earlier) ? (
        <Failed words={wordsFor(earlier.error)} onRetry={() => void earlier.refetch()} />
      ) : earlier.data ? (
        <ol className="m-0 list-none p-0">
          {earlier.data.map(({ id, finishedAt, verdict, reasons, hasView }) => (
            <li key={id} className="flex gap-3 py-0.5">
              <span className="w-36 shrink-0 tabular-nums">{dayAndTime(finishedAt)}</span>
              <span className="text-ink">{wordsOfVerdict(verdict, reasons[0]?.reason ?? null).short}</span>
              {hasView && (
                <a
                  href={fillPath(routes.studentView.path, { accessCheckId: id })}
                  target="_blank"
                  rel="noreferrer"
                  className="text-ink underline underline-offset-2"
                >
                  {t('earlierChecks.picture')}
                </a>
              )}
            </li>
          ))}
        </ol>
      ) : (
        open && <Loading rows={2} label={t('earlierChecks.earlierChecksAreLoading')} />
      )}
    </details>
  );
}
