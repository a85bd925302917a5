/** What a worker thread is given and gives back. */
import type { AskedCamera, AskedRehearsalResult } from '@hapset/contract';
import type { DeviceProfile, RehearsedDevice } from '@hapset/core';

export type WorkerAnswer = { readonly result: AskedRehearsalResult } | { readonly failure: string };

const usualNearestFocusM = 0.1;

export function profileOf({
  widthPx,
  heightPx,
  fovDeg,
  blurPx,
  noise,
  engine,
  nearestFocusM,
}: AskedCamera): DeviceProfile {
  return {
    id: 'asked',
    name: 'asked',
    previewWidthPx: widthPx,
    previewHeightPx: heightPx ?? Math.round((widthPx * 9) / 16),
    horizontalFovDeg: fovDeg,
    nearestFocusM: nearestFocusM ?? usualNearestFocusM,
    blurPx,
    noiseGrey: noise,
    jpegQuality: null,
    engine,
  };
}

/** Trials at the same distance are put together. */
export function toResult({
  reachM,
  hitAndMissM,
  fromM,
  confidence,
  misread,
  tried,
}: RehearsedDevice): AskedRehearsalResult {
  const byDistance = new Map<number, { trials: number; read: number }>();
  for (const { distanceM, trials, read } of tried) {
    const before = byDistance.get(distanceM) ?? { trials: 0, read: 0 };
    byDistance.set(distanceM, { trials: before.trials + trials, read: before.read + read });
  }
  const passRates = [...byDistance]
    .sort(([one], [other]) => one - other)
    .map(([distanceM, { trials, read }]) => ({ distanceM, trials, rate: read / trials }));
  return { reachM, hitAndMissM, fromM, confidence, misread, passRates };
}
