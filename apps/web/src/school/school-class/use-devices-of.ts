import type { DeviceView } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { devicesQuery } from '../device/device.queries.js';
import { classesQuery } from './school-class.queries.js';

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
