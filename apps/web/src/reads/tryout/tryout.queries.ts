import { routes, type TellTryout, type TryoutListening, type TryoutView } from '@hapset/contract';
import { queryOptions, useMutation, type UseMutationResult } from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';
import { useMaterialsChanged } from '../../platform/api/materials-changed.js';
import { materialKeys } from '../../gather/material/material.keys.js';

export const tryoutKeys = { list: (materialId: string) => [...materialKeys.all, 'tryouts', materialId] as const };

/** Live events tell sooner; the looking is for networks that let none through. */
const lookMs = 3000;

export const tryoutsQuery = (materialId: string, listening: boolean) =>
  queryOptions({
    queryKey: tryoutKeys.list(materialId),
    queryFn: ({ signal }): Promise<readonly TryoutView[]> => call(routes.tryouts, { params: { materialId }, signal }),
    refetchInterval: listening ? lookMs : false,
  });

export function useListen(materialId: string): UseMutationResult<TryoutListening> {
  return useMutation({ mutationFn: () => call(routes.listenForTryout, { params: { materialId } }) });
}

/** What a real device did changes what is shown of the code everywhere. */
function useTryoutChange<Input>(
  change: (request: Input) => Promise<unknown>,
): UseMutationResult<unknown, Error, Input> {
  const changed = useMaterialsChanged();
  return useMutation({ mutationFn: change, onSettled: changed });
}

export function useTellTryout(materialId: string): UseMutationResult<unknown, Error, TellTryout> {
  return useTryoutChange((body) => call(routes.tellTryout, { params: { materialId }, body }));
}

export function useSayDevice(): UseMutationResult<
  unknown,
  Error,
  { readonly tryoutId: string; readonly deviceId: string | null }
> {
  return useTryoutChange(({ tryoutId, deviceId }) =>
    call(routes.changeTryout, { params: { tryoutId }, body: { deviceId } }),
  );
}

export function useRemoveTryout(): UseMutationResult<unknown, Error, string> {
  return useTryoutChange((tryoutId) => call(routes.removeTryout, { params: { tryoutId } }));
}
