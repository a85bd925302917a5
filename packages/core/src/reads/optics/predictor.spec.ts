import { readerEngineNames, type DeviceProfile } from '../../school/device/device.js';
import {
  foretell,
  neededPixelsPerModule,
  predictReachM,
  sizeForDistanceMm,
  smallestPosterCodeMm,
} from './predictor.js';
import { usualScene, type Scene } from './scene.js';
import { tablet } from '../../test/sample-optics.js';

describe('predictor', () => {
  it('reaches farther with larger codes and sharper cameras', () => {
    expect(predictReachM(tablet, 200, 33)).toBeCloseTo(2 * predictReachM(tablet, 100, 33), 9);
    for (const engine of readerEngineNames) {
      const needed = (more: Partial<DeviceProfile>, scene: Scene = usualScene): number =>
        neededPixelsPerModule({ ...tablet, engine, ...more }, 33, scene);
      expect(needed({ blurPx: 1.2 })).toBeGreaterThan(needed({}));
      expect(needed({ noiseGrey: 10 })).toBeGreaterThan(needed({}));
      expect(needed({}, { ...usualScene, light: 'dim' })).toBeGreaterThan(needed({}));
      expect(needed({}, { ...usualScene, light: 'daylight' })).toBeLessThan(needed({}));
      expect(needed({}, { ...usualScene, technique: 'grey' })).toBeGreaterThan(needed({}));
    }
  });

  it('says how sure it is', () => {
    const { reachM, readsToM, missesFromM } = foretell(tablet, 120, 33);
    expect(reachM).toBe(predictReachM(tablet, 120, 33));
    expect([readsToM / reachM, missesFromM / reachM].map((share) => share.toFixed(2))).toEqual(['0.92', '1.08']);
    expect(foretell(tablet, 120, 33, usualScene, 0.5).reachM).toBeCloseTo(reachM / 2, 9);
  });

  it('chooses a size at which the weakest device is predicted to reach', () => {
    const weak = { ...tablet, id: 'w', horizontalFovDeg: 80 };
    const sizeMm = sizeForDistanceMm(25, 2, [tablet, weak], 400);
    expect(sizeMm % 5).toBe(0);
    expect(predictReachM(weak, sizeMm, 25)).toBeGreaterThan(2);
  });

  it('stays between the smallest and the largest size', () => {
    expect(sizeForDistanceMm(25, 0.3, [tablet], 150)).toBe(smallestPosterCodeMm);
    expect(sizeForDistanceMm(25, 20, [tablet], 150)).toBe(150);
    expect(sizeForDistanceMm(25, 2, [], 150)).toBe(smallestPosterCodeMm);
  });
});
