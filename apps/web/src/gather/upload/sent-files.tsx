/** Files that were sent and become no material: deleted, or kept under Files. */
import { routes, type FileView } from '@hapset/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { call } from '../../platform/api/client.js';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { plural } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';

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
  const it = files.length === 1 ? 'it' : 'them';
  return (
    <Dialog
      title={`${plural(files.length, 'file')} already sent`}
      about={`No code leads to ${it} yet. Delete ${it}, or keep ${it} under Shelf, Files.`}
      onClose={onClose}
    >
      {remove.isError && <Alert words={wordsFor(remove.error)} />}
      <div className="flex flex-wrap justify-end gap-2">
        <Button onClick={onClose}>Cancel</Button>
        <Button disabled={remove.isPending} onClick={() => remove.mutate()}>
          Delete {plural(files.length, 'file')}
        </Button>
        <Button tone="main" autoFocus onClick={onDone}>
          Keep under Files
        </Button>
      </div>
    </Dialog>
  );
}
