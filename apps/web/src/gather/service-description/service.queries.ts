import { routes, type KeepService, type ServiceView } from '@hapset/contract';
import {
  compileServices,
  emptyCatalogue,
  needPatterns,
  type CompilePattern,
  type ServiceCatalogue,
} from '@hapset/core';
import { queryOptions, useMutation, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';

export const serviceKeys = {
  all: ['services'] as const,
  list: ['services', 'list'] as const,
  catalogue: ['services', 'catalogue'] as const,
};

export const servicesQuery = queryOptions({
  queryKey: serviceKeys.list,
  queryFn: ({ signal }): Promise<readonly ServiceView[]> => call(routes.services, { signal }),
});

/** The same, ready for use: what recognises links on the page. */
export const catalogueQuery = queryOptions({
  queryKey: serviceKeys.catalogue,
  queryFn: async ({ signal }): Promise<ServiceCatalogue> => {
    const services = await call(routes.services, { signal });
    const usable = services.filter(({ problems }) => problems.length === 0).map(({ description }) => description);
    return usable.length === 0 ? emptyCatalogue : compileServices(usable, await engineFor(usable));
  },
  staleTime: 60_000,
  // It holds functions.
  structuralSharing: false,
});

/** The engine for expressions comes only where there are some. */
async function engineFor(usable: Parameters<typeof needPatterns>[0]): Promise<CompilePattern> {
  if (needPatterns(usable)) return (await import('@hapset/core/re2')).compileRe2;
  return () => {
    throw new Error('there are no expressions');
  };
}

/** Adds a description, or puts it in the place of the one that was read. Kinds, links and verdicts depend on it. */
export function useKeepService(): UseMutationResult<ServiceView, Error, KeepService> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: KeepService) => call(routes.keepService, { params: { serviceId: body.description.id }, body }),
    onSuccess: () => client.invalidateQueries(),
  });
}
