import type { SessionView } from '@hapset/contract';
import { useMutation, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { ApiError } from '../../platform/api/problem-error.js';
import { sessionKeys } from '../account/session.queries.js';
import { accountProblems } from '../staff/role-words.js';

export interface Entering<Body> {
  readonly send: UseMutationResult<SessionView, Error, Body>;
  /** By the names of fields. */
  readonly problems: ReadonlyMap<string, string>;
  /** What is wrong beside the fields; null where nothing is. */
  readonly failure: Error | null;
}

/** Uses a one-time link and signs the person in. */
export function useEntering<Body>(enter: (body: Body) => Promise<SessionView>, onEntered: () => void): Entering<Body> {
  const client = useQueryClient();
  const send = useMutation({
    mutationFn: enter,
    onSuccess: (session) => {
      // Show nothing from an account that was signed in here before.
      client.clear();
      client.setQueryData(sessionKeys.session, session);
      onEntered();
    },
  });
  const problems = accountProblems(send.error instanceof ApiError ? send.error : null);
  return { send, problems, failure: problems.size > 0 ? null : send.error };
}
