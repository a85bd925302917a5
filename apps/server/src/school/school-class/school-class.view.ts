import type { SchoolClassView } from '@hapset/contract';
import type { SchoolClass } from './school-class.entity.js';

export function toSchoolClassView({ id, name, studentAccounts, devices, version }: SchoolClass): SchoolClassView {
  return { id, name, studentAccounts, deviceIds: devices.map((device) => device.id), version };
}
