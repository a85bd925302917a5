import {
  limits,
  routes,
  type AddStations,
  type BenchView,
  type ChangeLesson,
  type CreateLesson,
  type CreatedView,
  type LessonsPage,
  type LessonView,
} from '@hapset/contract';
import {
  infiniteQueryOptions,
  queryOptions,
  useMutation,
  useQueryClient,
  type UseMutationResult,
} from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';
import { inParts } from '../../platform/api/in-parts.js';
import { whileOpeningMs } from '../../platform/api/while-opening.js';
import { lessonKeys } from './lesson.keys.js';
import { useMaterialsChanged } from '../../platform/api/materials-changed.js';

export const lessonsQuery = infiniteQueryOptions({
  queryKey: lessonKeys.list,
  queryFn: ({ signal, pageParam }): Promise<LessonsPage> =>
    call(routes.lessons, { signal, query: { after: pageParam } }),
  initialPageParam: null as string | null,
  getNextPageParam: (page) => page.next,
});

export const benchQuery = (lessonId: string) =>
  queryOptions({
    queryKey: lessonKeys.bench(lessonId),
    queryFn: ({ signal }): Promise<BenchView> => call(routes.bench, { params: { lessonId }, signal }),
    refetchInterval: (query) => ((query.state.data?.opening.left ?? 0) > 0 ? whileOpeningMs : false),
  });

export function useCreateLesson(): UseMutationResult<CreatedView, Error, CreateLesson> {
  const changed = useMaterialsChanged();
  return useMutation({ mutationFn: (body: CreateLesson) => call(routes.createLesson, { body }), onSuccess: changed });
}

export function useChangeLesson(lessonId: string): UseMutationResult<LessonView, Error, ChangeLesson> {
  const changed = useMaterialsChanged();
  return useMutation({
    mutationFn: (body: ChangeLesson) => call(routes.changeLesson, { params: { lessonId }, body }),
    onSettled: changed,
  });
}

/** New materials, and materials that are on the shelf already. */
export type StationsToAdd = Pick<AddStations, 'items' | 'materialIds'>;

/** Adds stations at the end, in as many calls as the server's limit asks for. Gives their ids. */
export function useAddStations(lessonId: string): UseMutationResult<readonly string[], Error, StationsToAdd> {
  const changed = useMaterialsChanged();
  return useMutation({
    mutationFn: async ({ items, materialIds }: StationsToAdd) => {
      const send = async (body: AddStations): Promise<readonly string[]> =>
        (await call(routes.addStations, { params: { lessonId }, body })).stationIds;
      const made = await inParts(items, limits.itemsAtOnce, (part) => send({ items: part, materialIds: [] }));
      const used = await inParts(materialIds, limits.itemsAtOnce, (part) => send({ items: [], materialIds: part }));
      return [...made, ...used];
    },
    onSettled: changed,
  });
}

/** Shows the new order at once and goes back to the server's when it refuses. */
export function useOrderStations(lessonId: string): UseMutationResult<unknown, Error, readonly string[]> {
  const client = useQueryClient();
  const key = lessonKeys.bench(lessonId);
  return useMutation({
    mutationFn: (stationIds: readonly string[]) =>
      call(routes.orderStations, { params: { lessonId }, body: { stationIds } }),
    onMutate: async (stationIds) => {
      await client.cancelQueries({ queryKey: key });
      client.setQueryData<BenchView>(key, (bench) => bench && inOrder(bench, stationIds));
    },
    onSettled: () => client.invalidateQueries({ queryKey: lessonKeys.all }),
  });
}

function inOrder(bench: BenchView, stationIds: readonly string[]): BenchView {
  const rows = stationIds.flatMap((id, index) =>
    bench.rows.filter((row) => row.stationId === id).map((row) => ({ ...row, position: index + 1 })),
  );
  return { ...bench, rows };
}

export function useOpenLesson(lessonId: string): UseMutationResult<unknown, Error, 'open' | 'stop'> {
  const changed = useMaterialsChanged();
  return useMutation({
    mutationFn: (what: 'open' | 'stop') =>
      call(what === 'open' ? routes.openLesson : routes.stopOpeningLesson, { params: { lessonId } }),
    onSuccess: changed,
  });
}
