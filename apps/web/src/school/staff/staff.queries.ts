import { routes, type ActivityPage, type OwnAccount, type StaffView } from '@hapset/contract';
import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';

export const staffQuery = queryOptions({
  queryKey: ['staff'],
  queryFn: ({ signal }): Promise<StaffView> => call(routes.staff, { signal }),
});

export const ownAccountQuery = queryOptions({
  queryKey: ['own-account'],
  queryFn: ({ signal }): Promise<OwnAccount> => call(routes.ownAccount, { signal }),
});

/** @param activity empty for all kinds. @param who empty for everybody */
export function activityQuery(activity: string, who: string) {
  return infiniteQueryOptions({
    queryKey: ['activity', activity, who],
    queryFn: ({ pageParam, signal }): Promise<ActivityPage> =>
      call(routes.activity, { query: { before: pageParam, activity, who }, signal }),
    initialPageParam: null as string | null,
    getNextPageParam: (page: ActivityPage) => page.next,
  });
}
