import { routes, type SetupSteps } from '@hapset/contract';
import { queryOptions } from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';

export const setupStepsQuery = queryOptions({
  queryKey: ['setup-steps'],
  queryFn: ({ signal }): Promise<SetupSteps> => call(routes.setupSteps, { signal }),
});
