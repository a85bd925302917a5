/** What the import of a roster would change, and the import itself. */
import type { ImportedStudent, RosterComparisonView } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { hasFailed } from '../../platform/api/has-failed.js';
import { ApiError } from '../../platform/api/problem-error.js';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { useNotice } from '../../platform/design/notice.js';
import { Panel } from '../../platform/design/panel.js';
import { Tick } from '../../platform/design/tick.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { t } from '../words.js';
import { Comparison } from './comparison.js';
import { comparisonQuery, useImportRoster } from './roster.queries.js';

interface ChangeProps {
  readonly imported: readonly ImportedStudent[];
  readonly fileName: string;
  readonly onDone: () => void;
}

/** Compared with who is known, and imported when it is as it should be. */
export function WhatWouldChange({ imported, fileName, onDone }: ChangeProps): ReactElement {
  const comparison = useQuery(comparisonQuery(imported));
  return (
    <Panel title={t('importPage.whatWouldChange')}>
      {comparison.isPending && <Loading rows={2} label={t('importPage.comparingWithTheCurrentRoster')} />}
      {hasFailed(comparison) && <Failed words={wordsFor(comparison.error)} onRetry={() => void comparison.refetch()} />}
      {comparison.data && (
        <>
          <Comparison comparison={comparison.data} />
          <ImportIt
            comparison={comparison.data}
            count={imported.length}
            fileName={fileName}
            onDone={onDone}
            onGone={() => void comparison.refetch()}
          />
        </>
      )}
    </Panel>
  );
}

function ImportIt({
  comparison: { id, added, changed, leftOut },
  count,
  fileName,
  onDone,
  onGone,
}: Pick<ChangeProps, 'fileName' | 'onDone'> & {
  readonly comparison: RosterComparisonView;
  readonly count: number;
  /** The server does not know it any more: it has to be compared again. */
  readonly onGone: () => void;
}): ReactElement {
  const [leave, setLeave] = useState(false);
  const importing = useImportRoster();
  const notice = useNotice();
  const sendChange = useSendChange();
  const nothingToDo = added + changed === 0 && !(leave && leftOut > 0);
  const send = (): void =>
    sendChange(
      importing,
      { rosterComparisonId: id, leave, fileName },
      {
        onError: (error) => error instanceof ApiError && error.reason === 'not-found' && onGone(),
        onSuccess: (done) => {
          onDone();
          notice({
            words: t('importPage.addedChangedLeftTheSchool', {
              added: done.added,
              changed: done.changed,
              left: done.left,
            }),
          });
        },
      },
    );
  return (
    <>
      {leftOut > 0 && (
        <Tick words={t('importPage.markStudentsWhoAreNo', { leftOut })} ticked={leave} onTick={setLeave} />
      )}
      {importing.isError && <Alert words={wordsFor(importing.error)} />}
      <div className="mt-3 flex gap-2">
        <Button tone="main" disabled={importing.isPending || nothingToDo} onClick={send}>
          {importing.isPending ? t('importPage.importing') : t('importPage.importStudents', { count })}
        </Button>
        <Button onClick={onDone}>{t('importPage.cancel')}</Button>
      </div>
    </>
  );
}
