import type { UseMutationResult } from '@tanstack/react-query';
import { useCallback } from 'react';
import { useChangeSent, useNotice } from '../design/notice.js';
import { wordsFor } from '../wording/problems.js';

interface Afterwards<Reply> {
  /** What it returns is waited for before Ctrl+Z acts. */
  readonly onSuccess?: (reply: Reply) => unknown;
  /** What to do when it fails: told at the foot of the page, unless given. `null` where the form shows the error itself. */
  readonly onError?: ((error: Error) => void) | null;
}

type Sendable<Reply, Request> = Pick<UseMutationResult<Reply, Error, Request>, 'mutateAsync'>;

/** Sends a change of `mutation`, and does what follows. */
export type SendChange = <Reply, Request>(
  mutation: Sendable<Reply, Request>,
  request: NoInfer<Request>,
  afterwards?: Afterwards<Reply>,
) => void;

/**
 * Sends a change, so that what follows happens even when the part of the page that asked for it is gone by then, as
 * rows are that the change itself removes. The callbacks of `mutate` are dropped in that case, and with them the way
 * to undo the change.
 */
export function useSendChange(): SendChange {
  const notice = useNotice();
  const changeSent = useChangeSent();
  return useCallback(
    (mutation, request, { onSuccess, onError = (error: Error) => notice({ words: wordsFor(error) }) } = {}) => {
      changeSent(mutation.mutateAsync(request), onSuccess, (error) => onError?.(error as Error));
    },
    [notice, changeSent],
  );
}
