/**
 * What keeps a device from reading where it should: trials at that distance with one cause removed at a time. What makes it read
 * alone is what limits; the modules' size always does, and is answered by a size (`sizeThatReadsMm`).
 */
import type { LookDesign } from '../../code/look/look.js';
import type { SymbolPlan } from '../../code/symbol/plan.js';
import type { DeviceProfile } from '../../school/device/device.js';
import { usualScene } from './scene.js';
import { Trials, type ReadFrame, type Staging } from './trial.js';

/** What keeps a code from being read from farther away. */
export const limitingCauses = ['look', 'light', 'tilt', 'blur', 'noise'] as const;
/** `blur`: a lens that is cleaned and in focus; `noise`: a better sensor, or a lamp at the code. */
export type LimitingCause = (typeof limitingCauses)[number];

/** Each of them alone makes it read at `distanceM`; none where only a larger or coarser code, or going nearer, does. */
export async function limitsAt(
  { plan, look, sizeMm }: { readonly plan: SymbolPlan; readonly look: LookDesign | null; readonly sizeMm: number },
  device: DeviceProfile,
  distanceM: number,
  read: ReadFrame,
): Promise<readonly LimitingCause[]> {
  const staging: Staging = { code: { ...plan, look }, sizeMm, device, scene: usualScene, tiltDeg: null };
  const found: LimitingCause[] = [];
  for (const [cause, without] of withoutEach(plan, staging)) {
    const trials = new Trials(without, read, () => false, 1);
    if ((await trials.verdictAt(distanceM)) === 'reads') found.push(cause);
  }
  return found;
}

function withoutEach(plan: SymbolPlan, staging: Staging): readonly (readonly [LimitingCause, Staging])[] {
  const { device } = staging;
  return [
    ...(staging.code.look ? [['look', { ...staging, code: { ...plan, look: null } }] as const] : []),
    ['light', { ...staging, scene: { ...usualScene, light: 'daylight', uneven: 0 } }],
    ['tilt', { ...staging, tiltDeg: 0 }],
    ['blur', { ...staging, device: { ...device, blurPx: device.blurPx / 2 } }],
    ['noise', { ...staging, device: { ...device, noiseGrey: device.noiseGrey / 3 } }],
  ];
}

/** Reach grows with the printed size; a little more makes up for what was told to a half of a step. Millimetres, rounded up to 5. */
export function sizeThatReadsMm(sizeMm: number, reachM: number, distanceM: number): number | null {
  return reachM > 0 ? Math.ceil((sizeMm * distanceM * 1.03) / reachM / 5) * 5 : null;
}
