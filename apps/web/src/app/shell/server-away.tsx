import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore, type ReactElement } from 'react';
import { serverState } from '../../platform/api/server-state.js';

/** A line over the page while the server can't answer. When it can, everything shown looks again. */
export function ServerAway(): ReactElement | null {
  const client = useQueryClient();
  const away = useSyncExternalStore(serverState.subscribe, serverState.isAway);
  useEffect(() => serverState.onReturn(() => void client.invalidateQueries()), [client]);
  if (!away) return null;
  return (
    <p
      role="status"
      className="sticky top-0 z-30 m-0 border-b border-stop bg-sheet px-4 py-2 text-center text-body font-semibold"
    >
      The server can’t answer just now. It tries again by itself. What you typed stays here.
    </p>
  );
}
