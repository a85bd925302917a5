import type { ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { JustMade, Prints } from './prints.js';
import { t } from '../words.js';

/** What was just made comes first; what was made before is below. */
export function MadeDialog({
  title,
  printId,
  onClose,
}: {
  readonly title: string;
  readonly printId: string;
  readonly onClose: () => void;
}): ReactElement {
  return (
    <Dialog title={title} wide onClose={onClose}>
      <JustMade printId={printId} />
      <div className="mt-4 mb-5 flex justify-end">
        <Button onClick={onClose}>{t('madeDialog.done')}</Button>
      </div>
      <Prints without={printId} />
    </Dialog>
  );
}
