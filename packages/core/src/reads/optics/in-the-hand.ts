/** Does a device read a code that is held, or lies on a table: the least that any code must do. */
import type { LookDesign } from '../../code/look/look.js';
import { reachShareOf } from '../../code/look/reach-share.js';
import type { DeviceProfile } from '../../school/device/device.js';
import { neededSizeMm, predictReachM } from './predictor.js';

/** Side of the symbol on a card or handout, without quiet zone. */
export const inTheHandMm = 50;
/** Nobody holds a device nearer than that to a card, metres. */
const nearestHoldM = 0.2;

/** Devices that don't read a symbol of so many modules a side from as near as they get. */
export function tooFineInTheHand<Device extends DeviceProfile>(
  modules: number,
  devices: readonly Device[],
): readonly Device[] {
  return devices.filter(
    (device) => predictReachM(device, inTheHandMm, modules) < Math.max(nearestHoldM, device.nearestFocusM),
  );
}

/** Whether every device reads a code of so many modules in the hand, printed as finely as an office printer can. */
export function readsInTheHand(modules: number, devices: readonly DeviceProfile[]): boolean {
  return tooFineInTheHand(modules, devices).length === 0;
}

/** Where a page that lies on a table is read from, metres. */
const readingDistanceM = 0.4;
/** Office printers keep modules apart down to that side, with a little room. Millimetres. */
const leastModuleMm = 0.4;
/** A code in a text is found by the eye at that side. Millimetres. */
const leastInTextMm = 25;

/** Side of the symbol in mm, without quiet zone, for pasting into a document: as it suits a page on a table, and the least that still reads in the hand. */
export function documentSizesMm(
  modules: number,
  devices: readonly DeviceProfile[],
  look: LookDesign,
): { readonly suits: number; readonly smallest: number } {
  const from = (nearestM: number): number =>
    Math.max(
      modules * leastModuleMm,
      ...devices.map((device) =>
        neededSizeMm(device, modules, Math.max(nearestM, device.nearestFocusM) / reachShareOf(look)),
      ),
    );
  const smallest = Math.ceil(from(nearestHoldM));
  return { suits: Math.max(leastInTextMm, Math.ceil(from(readingDistanceM) / 5) * 5, smallest), smallest };
}
