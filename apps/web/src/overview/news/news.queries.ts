import { routes, type NewsItem } from '@hapset/contract';
import { queryOptions } from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';

export const newsQuery = queryOptions({
  queryKey: ['news'],
  queryFn: ({ signal }): Promise<readonly NewsItem[]> => call(routes.news, { signal }),
});
