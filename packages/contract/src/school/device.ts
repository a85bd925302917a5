import type { DeviceFigures, DeviceProfile, MediaProfile, ScannerProfile } from '@hapset/core';

/** A kind of device as the school knows it: its camera, its scanner, how many there are. */
export interface DeviceView extends DeviceProfile, ScannerProfile, MediaProfile {
  /** How many the school has; null for those that students bring. */
  readonly count: number | null;
  readonly jpegQuality: number | null;
}

/** All of a device, for a new one and for a change. */
export interface CreateDevice extends DeviceFigures {
  readonly name: string;
  readonly count: number | null;
}

/** What is left out stays as it is. */
export type ChangeDevice = Partial<CreateDevice>;
