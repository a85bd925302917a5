/** A page with something unsaved on it asks once before it is left by a link or by going back. */
import { lazy, Suspense, useCallback, useRef, type ReactElement, type ReactNode } from 'react';
import { useBlocker } from 'react-router';
import { UnsavedContext, type NoteUnsaved } from '../../platform/design/unsaved.js';

// It comes when it is needed, or while nobody waits.
const LeavingDialog = lazy(() =>
  import('./leaving-dialog.js').then(({ LeavingDialog: component }) => ({ default: component })),
);

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
        <Suspense>
          <LeavingDialog onDiscard={discard} onLeave={leave} onStay={() => blocker.reset()} />
        </Suspense>
      )}
    </UnsavedContext>
  );
}
