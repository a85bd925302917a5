import type { ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { t } from '../words.js';

/** Asks what becomes of what was typed and not saved. */
export function LeavingDialog({
  onDiscard,
  onLeave,
  onStay,
}: {
  readonly onDiscard: () => void;
  readonly onLeave: () => void;
  readonly onStay: () => void;
}): ReactElement {
  return (
    <Dialog
      title={t('askBeforeLeaving.youHaveNotSavedThis')}
      about={t('askBeforeLeaving.aDraftStaysOnThis')}
      onClose={onStay}
    >
      <div className="flex flex-wrap justify-end gap-2">
        <Button onClick={onDiscard}>{t('askBeforeLeaving.discardDraft')}</Button>
        <Button onClick={onLeave}>{t('askBeforeLeaving.leaveKeepDraft')}</Button>
        <Button tone="main" autoFocus onClick={onStay}>
          {t('askBeforeLeaving.keepEditing')}
        </Button>
      </div>
    </Dialog>
  );
}
