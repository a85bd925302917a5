import { routes, type AddressesOnPaper, type SchoolView } from '@hapset/contract';
import { queryOptions } from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';

export const schoolQuery = queryOptions({
  queryKey: ['school'],
  queryFn: ({ signal }): Promise<SchoolView> => call(routes.school, { signal }),
});

/** What was printed with the present address. */
export const onPaperQuery = queryOptions({
  queryKey: ['school', 'on-paper'],
  queryFn: ({ signal }): Promise<AddressesOnPaper> => call(routes.onPaper, { signal }),
});
