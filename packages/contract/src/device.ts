import type { DeviceProfile } from '@hapset/core';

export interface DeviceView extends DeviceProfile {
  /** How many the school has; null for those that students bring. */
  readonly count: number | null;
}
