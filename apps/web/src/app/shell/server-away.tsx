import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore, type ReactElement } from 'react';
import { useNotice } from '../../platform/design/notice.js';
import { useAskBeforeLeaving } from '../../platform/leaving/use-ask-before-leaving.js';
import { timeOf } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { saveQueue } from '../../platform/api/client.js';
import { serverState } from '../../platform/api/server-state.js';
import { t } from '../words.js';

/** A line over the page while the server can't answer. When it can, everything shown looks again. */
export function ServerAway(): ReactElement | null {
  const client = useQueryClient();
  const away = useSyncExternalStore(serverState.subscribe, serverState.isAway);
  const waiting = useSyncExternalStore(saveQueue.subscribe, saveQueue.count);
  useEffect(() => serverState.onReturn(() => void client.invalidateQueries()), [client]);
  useLateFailures();
  useOutageSigns();
  useAskBeforeLeaving(waiting > 0);
  if (!away) return null;
  return (
    <p
      role="status"
      className="sticky top-0 z-30 m-0 border-b border-stop bg-sheet px-4 py-2 text-center text-body font-semibold"
    >
      {t('serverAway.theServerCantBeReached', {
        time: timeOf(serverState.lastAnswer()),
        waiting: waitingWords(waiting),
      })}
    </p>
  );
}

function waitingWords(waiting: number): string {
  if (waiting === 0) return t('serverAway.whatYouTypedStaysHere');
  return waiting === 1 ? t('serverAway.yourChangeIsSavedAs') : t('serverAway.yourChangesAreSavedAs', { waiting });
}

/** A page that asks for nothing would not notice: it is asked when somebody comes back to it, and when the network changes. */
function useOutageSigns(): void {
  useEffect(() => {
    const ask = (): void => serverState.askNow();
    const look = (): void => void (document.visibilityState === 'visible' && ask());
    document.addEventListener('visibilitychange', look);
    window.addEventListener('offline', ask);
    window.addEventListener('online', ask);
    return () => {
      document.removeEventListener('visibilitychange', look);
      window.removeEventListener('offline', ask);
      window.removeEventListener('online', ask);
    };
  }, []);
}

/** Whatever sent a change that waited may be gone: what became of it is said on any page. */
function useLateFailures(): void {
  const notice = useNotice();
  useEffect(
    () =>
      saveQueue.onFailure((error) =>
        notice({ words: t('serverAway.aChangeThatWaitedWas', { reason: wordsFor(error) }) }),
      ),
    [notice],
  );
}
