import type { Route } from '@hapset/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { call } from '../api/client.js';
import { useNotice } from '../design/notice.js';
import { useSendChange } from './use-send-change.js';

interface Removal {
  readonly remove: Route<null, null>;
  readonly restore: Route<null, null>;
  readonly params: Readonly<Record<string, string>>;
  /** What is said when it is gone. */
  readonly words: string;
  /** Where to go from a page that is gone as well. */
  readonly leadsTo?: string;
}

export interface RemovalState {
  readonly error: Error | null;
  readonly run: () => void;
}

/**
 * Removes something at once, says so, and offers the way back: undo instead of "are you sure". What follows belongs to
 * the removal and not to whatever showed it, since that is often gone by then.
 */
export function useRemoval({ remove, restore, params, words, leadsTo }: Removal): RemovalState {
  const notice = useNotice();
  const sendChange = useSendChange();
  const navigate = useNavigate();
  const client = useQueryClient();
  // What is removed may be shown anywhere.
  const changed = (): Promise<void> => client.invalidateQueries();
  const undoing = useMutation({ mutationFn: () => call(restore, { params }), onSuccess: changed });
  const undo = (): void => sendChange(undoing, undefined);
  const removal = useMutation({ mutationFn: () => call(remove, { params }) });
  const onSuccess = (): Promise<void> => {
    notice({ words, undo, ...(leadsTo !== undefined && { page: leadsTo }) });
    // Before anything is asked again: the page that is open is gone as well.
    if (leadsTo !== undefined) void navigate(leadsTo);
    return changed();
  };
  return { error: removal.error, run: () => sendChange(removal, undefined, { onSuccess, onError: null }) };
}
