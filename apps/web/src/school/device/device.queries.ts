import { routes, type ChangeDevice, type CreateDevice, type DeviceView } from '@hapset/contract';
import { queryOptions, useMutation, useQuery, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { useMemo } from 'react';
import { call } from '../../platform/api/client.js';
import { classesQuery } from '../school-class/school-class.queries.js';
import { deviceKeys } from './device.keys.js';

export const devicesQuery = queryOptions({
  queryKey: deviceKeys.list,
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

/** Devices of a class; all of the school's without a class, or where it has none of its own. Empty until they are known. */
export function useDevicesOf(classId: string | null): readonly DeviceView[] {
  const all = useQuery(devicesQuery).data;
  const classes = useQuery({ ...classesQuery, enabled: classId !== null }).data;
  return useMemo(() => {
    if (!all) return none;
    const own = classes?.find((candidate) => candidate.id === classId)?.deviceIds ?? [];
    return own.length > 0 ? all.filter((device) => own.includes(device.id)) : all;
  }, [all, classes, classId]);
}

const none: readonly DeviceView[] = [];
