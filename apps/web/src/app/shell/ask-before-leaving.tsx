/** A page with something unsaved on it asks once before it is left by a link or by going back. */
import { useCallback, useRef, type ReactElement, type ReactNode } from 'react';
import { useBlocker } from 'react-router';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { UnsavedContext, type NoteUnsaved } from '../../platform/design/unsaved.js';
import { t } from '../words.js';

export function AskBeforeLeaving({ children }: { readonly children: ReactNode }): ReactElement {
  const unsaved = useRef(new Set<() => void>());
  const note = useCallback<NoteUnsaved>((discard) => {
    unsaved.current.add(discard);
    return () => unsaved.current.delete(discard);
  }, []);
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) =>
      unsaved.current.size > 0 && currentLocation.pathname !== nextLocation.pathname,
  );
  const leave = (): void => blocker.proceed?.();
  const discard = (): void => {
    for (const each of unsaved.current) each();
    leave();
  };
  return (
    <UnsavedContext value={note}>
      {children}
      {blocker.state === 'blocked' && (
        <Dialog
          title={t('askBeforeLeaving.youHaveNotSavedThis')}
          about={t('askBeforeLeaving.aDraftStaysOnThis')}
          onClose={() => blocker.reset()}
        >
          <div className="flex flex-wrap justify-end gap-2">
            <Button onClick={discard}>{t('askBeforeLeaving.discardDraft')}</Button>
            <Button onClick={leave}>{t('askBeforeLeaving.leaveKeepDraft')}</Button>
            <Button tone="main" autoFocus onClick={() => blocker.reset()}>
              {t('askBeforeLeaving.keepEditing')}
            </Button>
          </div>
        </Dialog>
      )}
    </UnsavedContext>
  );
}
