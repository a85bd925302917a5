import { routes, type SchoolView } from '@hapset/contract';
import { queryOptions } from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';
import { schoolKeys } from './school.keys.js';

export const schoolQuery = queryOptions({
  queryKey: schoolKeys.school,
  queryFn: ({ signal }): Promise<SchoolView> => call(routes.school, { signal }),
});
