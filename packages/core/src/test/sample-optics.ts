import { planSymbol, type SymbolPlan } from '../code/symbol/plan.js';
import { type DeviceProfile } from '../school/device/device.js';
import { type View } from '../reads/optics/projection.js';
import { usualScene, type Scene } from '../reads/optics/scene.js';
import type { GreyFrame } from '../reads/optics/sensor.js';
export const tablet: DeviceProfile = {
  id: 't',
  name: 'Tablet',
  previewWidthPx: 1280,
  previewHeightPx: 720,
  horizontalFovDeg: 60,
  nearestFocusM: 0.15,
  blurPx: 0.8,
  noiseGrey: 6,
  engine: 'zxing',
};
export const sharp: DeviceProfile = { ...tablet, id: 's', blurPx: 0, noiseGrey: 0 };
export const still: View = { distanceM: 1, tiltDeg: 0, rollDeg: 0, shiftXPx: 0, shiftYPx: 0, seed: 1 };
const planned = planSymbol('https://a.example/leaf');
if (!planned.ok) throw new Error('the test needs a symbol');
export const plan: SymbolPlan = planned.value;

/** Linear light of a grey level (IEC 61966-2-1). */
export const linear = (level: number): number => ((level / 255 + 0.055) / 1.055) ** 2.4;
/** Light that falls alike everywhere. */
export const even: Scene = { ...usualScene, uneven: 0 };
export const meanLight = (frame: GreyFrame): number =>
  frame.grey.reduce((sum, level) => sum + linear(level), 0) / frame.grey.length;
export const darkest = (frame: GreyFrame): number => frame.grey.reduce((least, level) => Math.min(least, level));
export const brightest = (frame: GreyFrame): number => frame.grey.reduce((most, level) => Math.max(most, level));
