import type { DeviceFigures, DeviceProfile, ScannerProfile } from '@hapset/core';

export interface DeviceView extends DeviceProfile, ScannerProfile {
  /** How many the school has; null for those that students bring. */
  readonly count: number | null;
  readonly jpegQuality: number | null;
}

export interface CreateDevice extends DeviceFigures {
  readonly name: string;
  readonly count: number | null;
}

/** What is left out stays as it is. */
export type ChangeDevice = Partial<CreateDevice>;
