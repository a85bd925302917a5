import type { Device } from './device.entity.js';

/** A device as the rest of the server sees it. */
export type DeviceRecord = Readonly<Device>;
