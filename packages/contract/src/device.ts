import type { DeviceProfile, ScannerProfile } from '@hapset/core';

export interface DeviceView extends DeviceProfile, ScannerProfile {
  /** How many the school has; null for those that students bring. */
  readonly count: number | null;
}
