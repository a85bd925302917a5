import { routes, type ChangeStation } from '@hapset/contract';
import { useMutation, type UseMutationResult } from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';
import { useMaterialsChanged } from '../../platform/api/materials-changed.js';

export function useChangeStation(stationId: string): UseMutationResult<unknown, Error, ChangeStation> {
  const changed = useMaterialsChanged();
  return useMutation({
    mutationFn: (body: ChangeStation) => call(routes.changeStation, { params: { stationId }, body }),
    onSettled: changed,
  });
}
