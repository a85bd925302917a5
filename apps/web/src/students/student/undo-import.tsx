/** Undoing an import: first what it would delete, restore and leave alone, then the doing. */
import type { RosterUndoView } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { useNotice } from '../../platform/design/notice.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { rosterUntouchedWords } from '../../platform/wording/students.js';
import { rosterUndoQuery, useUndoImport } from './roster.queries.js';
import { Alert } from '../../platform/design/alert.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

export function UndoImportDialog({
  importId,
  onClose,
}: {
  readonly importId: string;
  readonly onClose: () => void;
}): ReactElement {
  const planned = useQuery(rosterUndoQuery(importId));
  const undo = useUndoImport();
  const notice = useNotice();
  const sendChange = useSendChange();
  return (
    <Dialog title={t('undoImport.undoThisImport')} about={t('undoImport.laterChangesByHandAre')} onClose={onClose}>
      {planned.isPending && <Loading rows={2} label={t('undoImport.loadingTheChanges')} />}
      {hasFailed(planned) && <Failed words={wordsFor(planned.error)} onRetry={() => void planned.refetch()} />}
      {planned.data && <Plan plan={planned.data} />}
      {undo.isError && <Alert words={wordsFor(undo.error)} className="mt-3 mb-0" />}
      <div className="mt-4 flex justify-end gap-2">
        <Button onClick={onClose}>{t('undoImport.cancel')}</Button>
        <Button
          tone="main"
          disabled={!planned.data || undo.isPending}
          onClick={() =>
            sendChange(undo, importId, {
              onSuccess: ({ deleted, restored, untouched }) => {
                notice({
                  words: t('undoImport.importUndoneDeletedRestoredUnchanged', { deleted, restored, untouched }),
                });
                onClose();
              },
              onError: null,
            })
          }
        >
          {t('undoImport.undoImport')}
        </Button>
      </div>
    </Dialog>
  );
}

function Plan({
  plan: { deleted, someDeleted, restored, someRestored, untouched, someUntouched },
}: {
  readonly plan: RosterUndoView;
}): ReactElement {
  return (
    <div className="flex flex-col gap-3 text-body">
      <Group words={t('undoImport.deletesStudents', { count: deleted })} count={deleted} names={someDeleted} />
      <Group words={t('undoImport.restoresStudents', { count: restored })} count={restored} names={someRestored} />
      <Group
        words={t('undoImport.leavesStudentsUnchanged', { count: untouched })}
        count={untouched}
        names={someUntouched.map(({ name, why }) => `${name} (${rosterUntouchedWords[why]})`)}
      />
    </div>
  );
}

function Group({
  words,
  count,
  names,
}: {
  readonly words: string;
  readonly count: number;
  readonly names: readonly string[];
}): ReactElement | null {
  if (count === 0) return null;
  return (
    <section>
      <h3 className="m-0 text-field">{words}</h3>
      <ul className="m-0 list-none p-0 text-muted">
        {names.map((name, index) => (
          <li key={index}>{name}</li>
        ))}
        {count > names.length && <li>{t('undoImport.andMore', { more: count - names.length })}</li>}
      </ul>
    </section>
  );
}
