import { routes, type FilesPage } from '@hapset/contract';
import { infiniteQueryOptions } from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';

export const fileKeys = { list: ['files'] as const };

export const filesQuery = infiniteQueryOptions({
  queryKey: fileKeys.list,
  queryFn: ({ signal, pageParam }): Promise<FilesPage> => call(routes.files, { signal, query: { after: pageParam } }),
  initialPageParam: null as string | null,
  getNextPageParam: (page) => page.next,
});
