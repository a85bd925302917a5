import { routes, type CreateSchoolClass, type SchoolClassView } from '@hapset/contract';
import { queryOptions, useMutation, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';

export const schoolClassKeys = { list: ['classes'] as const };

export const classesQuery = queryOptions({
  queryKey: schoolClassKeys.list,
  queryFn: ({ signal }): Promise<readonly SchoolClassView[]> => call(routes.classes, { signal }),
});

/** Makes a class, or changes one. Rehearsals and benches depend on it, so everything looks again. */
export function useKeepClass(
  schoolClass: SchoolClassView | null,
): UseMutationResult<SchoolClassView, Error, CreateSchoolClass> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: CreateSchoolClass): Promise<SchoolClassView> =>
      schoolClass
        ? call(routes.changeClass, {
            params: { classId: schoolClass.id },
            body: { ...body, version: schoolClass.version },
          })
        : call(routes.createClass, { body }),
    onSettled: () => client.invalidateQueries(),
  });
}
