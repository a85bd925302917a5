/**
 * Whether a question to the server has failed for what is shown. What was loaded stays while the server can't answer: it
 * asks again by itself, and the line over the page says so. What the server says for certain (it is gone, it is somebody
 * else's) is shown at once.
 */
import { ApiError } from './problem-error.js';

interface Asked {
  readonly isError: boolean;
  readonly isLoadingError: boolean;
  readonly error: Error | null;
}

/** Narrows to the queries that show nothing. */
export function hasFailed<Query extends Asked>(query: Query): query is Extract<Query, { readonly isError: true }> {
  return query.isLoadingError || (query.isError && isCertain(query.error));
}

function isCertain(error: Error | null): boolean {
  return error instanceof ApiError && !['unreachable', 'unavailable', 'failed', 'busy'].includes(error.reason);
}
