/** Does a device read a code that is held, or lies on a table: the least that any code must do. */
import type { DeviceProfile } from './device.js';
import { predictReachM } from './predictor.js';

/** Side of the symbol on a card or handout, without quiet zone. */
export const inTheHandMm = 50;
/** Nobody holds a device nearer than that to a card, metres. */
const nearestHoldM = 0.2;

/** Devices that don't read a symbol of so many modules a side from as near as they get. */
export function tooFineInTheHand<Device extends DeviceProfile>(modules: number, devices: readonly Device[]): readonly Device[] {
  return devices.filter((device) => predictReachM(device, inTheHandMm, modules) < Math.max(nearestHoldM, device.nearestFocusM));
}

export function readsInTheHand(modules: number, devices: readonly DeviceProfile[]): boolean {
  return tooFineInTheHand(modules, devices).length === 0;
}
