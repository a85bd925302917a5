import type { DeviceProfile, ScannerAct, ScannerProfile } from '@hapset/core';

export interface DeviceView extends DeviceProfile, ScannerProfile {
  /** How many the school has; null for those that students bring. */
  readonly count: number | null;
}

export interface ChangeDevice {
  readonly actsOn: readonly ScannerAct[];
}
