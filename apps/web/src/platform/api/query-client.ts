import { QueryClient, type InvalidateOptions, type InvalidateQueryFilters, type QueryKey } from '@tanstack/react-query';
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

/**
 * What is asked for the first time while a change is made would be answered without it, and a query that has no answer yet
 * goes on with the question it has. Here it is asked again.
 */
class ChangesSeen extends QueryClient {
  override async invalidateQueries<Key extends QueryKey = QueryKey>(
    filters?: InvalidateQueryFilters<Key>,
    options?: InvalidateOptions,
  ): Promise<void> {
    const keys = this.getQueryCache()
      .findAll(filters)
      .filter((query) => query.isActive() && query.state.data === undefined && query.state.fetchStatus === 'fetching')
      .map(({ queryKey }) => queryKey);
    await Promise.all(keys.map((queryKey) => this.cancelQueries({ queryKey, exact: true })));
    await super.invalidateQueries(filters, options);
  }
}

/** As the pages have one; tests make their own. */
export function makeQueryClient(): QueryClient {
  return new ChangesSeen({
    defaultOptions: {
      queries: { staleTime: 5_000, retry: worthRetrying, retryDelay: 600, networkMode },
      mutations: { retry: false, networkMode },
    },
  });
}

export const queryClient = makeQueryClient();
