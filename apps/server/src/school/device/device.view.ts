import type { DeviceView } from '@hapset/contract';
import type { Device } from './device.entity.js';

export function toDeviceView({ position: _, ...profile }: Device): DeviceView {
  return { ...profile };
}
