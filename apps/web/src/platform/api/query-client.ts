import { QueryClient } from '@tanstack/react-query';
import { ApiError } from './problem-error.js';

/** What can't change by asking again is not asked again. */
function worthRetrying(count: number, error: Error): boolean {
  return (
    count < 2 &&
    (!(error instanceof ApiError) ||
      error.reason === 'unreachable' ||
      error.reason === 'unavailable' ||
      error.reason === 'failed')
  );
}

// The school's server may be there where the browser knows of no network.
const networkMode = 'always';

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: { staleTime: 5_000, retry: worthRetrying, retryDelay: 600, networkMode },
    mutations: { retry: false, networkMode },
  },
});
