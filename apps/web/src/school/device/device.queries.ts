import { routes, type ChangeDevice, type CreateDevice, type DeviceView } from '@hapset/contract';
import { queryOptions, useMutation, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';

export const devicesQuery = queryOptions({
  queryKey: ['devices'],
  queryFn: ({ signal }): Promise<readonly DeviceView[]> => call(routes.devices, { signal }),
});

/** Devices decide about codes everywhere, so everything looks again. */
export function useChangeDevice(deviceId: string): UseMutationResult<DeviceView, Error, ChangeDevice> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: ChangeDevice) => call(routes.changeDevice, { params: { deviceId }, body }),
    onSettled: () => client.invalidateQueries(),
  });
}

/** @param deviceId null for a new one */
export function useKeepDevice(deviceId: string | null): UseMutationResult<DeviceView, Error, CreateDevice> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: CreateDevice) =>
      deviceId === null
        ? call(routes.createDevice, { body })
        : call(routes.changeDevice, { params: { deviceId }, body }),
    onSettled: () => client.invalidateQueries(),
  });
}

export function useRemoveDevice(): UseMutationResult<unknown, Error, string> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (deviceId: string) => call(routes.removeDevice, { params: { deviceId } }),
    onSettled: () => client.invalidateQueries(),
  });
}
