import {
  limits,
  routes,
  type ChangeMaterial,
  type MaterialPage,
  type MaterialView,
  type ChangedMaterials,
  type MaterialsRequest,
  type NewMaterial,
  type RemovedMaterials,
  type ShelfMatch,
  type ShelfOrder,
  type ShelfPage,
  type TagMaterials,
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

export const shelfQuery = (find: string, tag: string | null, order: ShelfOrder = 'newest') =>
  infiniteQueryOptions({
    queryKey: materialKeys.shelf(find, tag, order),
    queryFn: ({ signal, pageParam }): Promise<ShelfPage> =>
      call(routes.shelf, { signal, query: { find, tag, order, after: pageParam } }),
    initialPageParam: null as string | null,
    getNextPageParam: (page) => page.next,
    placeholderData: keepPreviousData,
    refetchInterval: (query) =>
      query.state.data?.pages.some((page) => page.rows.some((row) => row.readiness.opens.opening))
        ? whileOpeningMs
        : false,
  });

/** Which of the links are on the shelf already. At most as many as the server takes at once. */
export const shelfMatchesQuery = (links: readonly string[]) =>
  queryOptions({
    queryKey: materialKeys.matches(links),
    queryFn: ({ signal }): Promise<readonly ShelfMatch[]> => call(routes.matchShelf, { body: { links }, signal }),
    enabled: links.length > 0,
    placeholderData: keepPreviousData,
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

/** Gives a tag to several, or takes it from them. Gives those that were changed. */
export function useTagMaterials(): UseMutationResult<ChangedMaterials, Error, TagMaterials> {
  const changed = useMaterialsChanged();
  return useMutation({ mutationFn: (body: TagMaterials) => call(routes.tagMaterials, { body }), onSettled: changed });
}

/** Removes what no lesson shows, and names the rest. */
export function useRemoveMaterials(): UseMutationResult<RemovedMaterials, Error, MaterialsRequest> {
  const changed = useMaterialsChanged();
  return useMutation({
    mutationFn: (body: MaterialsRequest) => call(routes.removeMaterials, { body }),
    onSettled: changed,
  });
}

export function useRestoreMaterials(): UseMutationResult<unknown, Error, MaterialsRequest> {
  const changed = useMaterialsChanged();
  return useMutation({
    mutationFn: (body: MaterialsRequest) => call(routes.restoreMaterials, { body }),
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
