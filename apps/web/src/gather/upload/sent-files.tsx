/** Files that were sent and become no material: deleted, or kept under Files. */
import { routes, type FileView } from '@hapset/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { call } from '../../platform/api/client.js';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { t } from '../words.js';

interface Props {
  readonly files: readonly FileView[];
  readonly onClose: () => void;
  readonly onDone: () => void;
}

export function SentFiles({ files, onClose, onDone }: Props): ReactElement {
  const client = useQueryClient();
  const remove = useMutation({
    mutationFn: async () => {
      for (const { id } of files) await call(routes.removeFile, { params: { fileId: id } });
    },
    onSuccess: onDone,
    onSettled: () => client.invalidateQueries(),
  });
  return (
    <Dialog
      title={t('sentFiles.filesAlreadyUploaded', { count: files.length })}
      about={t('sentFiles.noCodeLeadsToThem', { count: files.length })}
      onClose={onClose}
    >
      {remove.isError && <Alert words={wordsFor(remove.error)} />}
      <div className="flex flex-wrap justify-end gap-2">
        <Button onClick={onClose}>{t('sentFiles.cancel')}</Button>
        <Button disabled={remove.isPending} onClick={() => remove.mutate()}>
          {t('sentFiles.deleteFiles', { count: files.length })}
        </Button>
        <Button tone="main" autoFocus onClick={onDone}>
          {t('sentFiles.keepInFiles')}
        </Button>
      </div>
    </Dialog>
  );
}
