import {
  limits,
  routes,
  type ChangeMaterial,
  type MaterialPage,
  type MaterialView,
  type NewMaterial,
  type ShelfPage,
  type TagView,
} from '@hapset/contract';
import {
  infiniteQueryOptions,
  keepPreviousData,
  queryOptions,
  useMutation,
  type UseMutationResult,
} from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';
import { inParts } from '../../platform/api/in-parts.js';
import { whileOpeningMs } from '../../platform/api/while-opening.js';
import { materialKeys } from './material.keys.js';
import { routeFor, type PlaceId } from './place-id.js';
import { useMaterialsChanged } from '../../platform/api/materials-changed.js';

export const shelfQuery = (find: string, tag: string | null) =>
  infiniteQueryOptions({
    queryKey: materialKeys.shelf(find, tag),
    queryFn: ({ signal, pageParam }): Promise<ShelfPage> =>
      call(routes.shelf, { signal, query: { find, tag, after: pageParam } }),
    initialPageParam: null as string | null,
    getNextPageParam: (page) => page.next,
    placeholderData: keepPreviousData,
    refetchInterval: (query) =>
      query.state.data?.pages.some((page) => page.rows.some((row) => row.readiness.opens.opening))
        ? whileOpeningMs
        : false,
  });

export const tagsQuery = queryOptions({
  queryKey: materialKeys.tags,
  queryFn: ({ signal }): Promise<readonly TagView[]> => call(routes.tags, { signal }),
});

/** Opens all of a collection as a student. */
export function useOpenTag(): UseMutationResult<unknown, Error, string> {
  const changed = useMaterialsChanged();
  return useMutation({ mutationFn: (tag: string) => call(routes.openTag, { params: { tag } }), onSuccess: changed });
}

export const materialPageQuery = (place: PlaceId) =>
  queryOptions({
    queryKey: materialKeys.page(place),
    queryFn: ({ signal }): Promise<MaterialPage> => {
      const { route, params } = routeFor(place, routes.stationPage, routes.materialPage);
      return call(route, { params, signal });
    },
    refetchInterval: (query) => (query.state.data?.readiness.opens.opening ? whileOpeningMs : false),
  });

/** Puts things on the shelf, in as many calls as the server's limit asks for. Returns their ids. */
export function useCreateMaterials(): UseMutationResult<readonly string[], Error, readonly NewMaterial[]> {
  const changed = useMaterialsChanged();
  return useMutation({
    mutationFn: (items: readonly NewMaterial[]) =>
      inParts(
        items,
        limits.itemsAtOnce,
        async (part) => (await call(routes.createMaterials, { body: { items: part } })).materialIds,
      ),
    onSettled: changed,
  });
}

export function useChangeMaterial(materialId: string): UseMutationResult<MaterialView, Error, ChangeMaterial> {
  const changed = useMaterialsChanged();
  return useMutation({
    mutationFn: (body: ChangeMaterial) => call(routes.changeMaterial, { params: { materialId }, body }),
    onSettled: changed,
  });
}

export function useOpenMaterial(): UseMutationResult<unknown, Error, string> {
  const changed = useMaterialsChanged();
  return useMutation({
    mutationFn: (materialId: string) => call(routes.openMaterial, { params: { materialId } }),
    onSuccess: changed,
  });
}
