/** What a symbol is in figures at a printed size, for the devices that are to read it. */
import type { DeviceProfile } from '../../school/device/device.js';
import { predictReachM } from '../optics/predictor.js';
import { grainOf, type Grain } from '../../code/symbol/grain.js';
import { charactersToShrink, chooseSize, untilGrowth } from '../../code/symbol/plan.js';
import { modulesOf, type ErrorCorrectionLevel } from '../../code/symbol/versions.js';

/** How fine a code is, in figures. */
export interface SymbolFigures {
  readonly version: number;
  readonly modules: number;
  readonly grain: Grain;
  readonly level: ErrorCorrectionLevel;
  readonly characters: number;
  readonly charactersUntilGrowth: number;
  /** Null where nothing gets coarser. */
  readonly charactersToShrink: number | null;
  /** Side of the symbol as it would be printed, mm. */
  readonly sizeMm: number;
  /** Side of a module at that size, mm. */
  readonly moduleMm: number;
  /** Of the weakest device, predicted, metres; null without devices. */
  readonly reachM: number | null;
}

/**
 * How large a code would be printed, and which devices are to read it. The size is that of the code in question, and not
 * of the one that is carried now: what is promised before a choice is what comes of it.
 */
export interface Printed {
  /** Side of a symbol of so many modules on paper, mm. */
  readonly sizeMmOf: (modules: number) => number;
  /** Share of its reach that a code keeps in its look, up to 1. */
  readonly reachShare: number;
  readonly devices: readonly DeviceProfile[];
}

/** Null where no symbol holds the payload. @param level chosen by hand; null for the highest that costs nothing */
export function figuresOf(
  payload: string,
  level: ErrorCorrectionLevel | null,
  { sizeMmOf, reachShare, devices }: Printed,
): SymbolFigures | null {
  const chosen = level ?? undefined;
  const size = chooseSize(payload, chosen);
  if (!size.ok) return null;
  const { version } = size.value;
  const modules = modulesOf(version);
  const sizeMm = sizeMmOf(modules);
  const reachM = weakestReachM(devices, sizeMm, modules);
  return {
    version,
    modules,
    grain: grainOf(version),
    level: size.value.level,
    characters: [...payload].length,
    charactersUntilGrowth: untilGrowth(payload, size.value, chosen),
    charactersToShrink: charactersToShrink({ payload, version }, chosen),
    sizeMm,
    moduleMm: sizeMm / modules,
    reachM: reachM && reachM * reachShare,
  };
}

/** The device that is predicted to reach least; null without devices. */
export function weakestDevice<Device extends DeviceProfile>(
  devices: readonly Device[],
  sizeMm: number,
  modules: number,
): Device | null {
  const reach = (device: Device): number => predictReachM(device, sizeMm, modules);
  return devices.reduce<Device | null>(
    (weakest, device) => (weakest === null || reach(device) < reach(weakest) ? device : weakest),
    null,
  );
}

/** Metres; null without devices. */
export function weakestReachM(devices: readonly DeviceProfile[], sizeMm: number, modules: number): number | null {
  const weakest = weakestDevice(devices, sizeMm, modules);
  return weakest && predictReachM(weakest, sizeMm, modules);
}
