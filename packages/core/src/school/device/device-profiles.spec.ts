import { genericDevices, genericFigures } from './device-profiles.js';
import { predictReachM } from '../../reads/optics/predictor.js';
import { focalLengthPx, pixelsPerModule, readerEngineNames } from './device.js';
import { scannerActs } from './scanner-profile.js';

describe('generic devices', () => {
  it('are twelve, and differ from each other', () => {
    expect(Object.keys(genericFigures).sort()).toEqual([...genericDevices].sort());
    expect(genericDevices).toHaveLength(12);
    expect(new Set(Object.values(genericFigures).map((figures) => JSON.stringify(figures))).size).toBe(12);
  });

  it('reach as far as such devices do: an old tablet least, a current phone about twice as far', () => {
    const reach = (name: (typeof genericDevices)[number]): number => predictReachM(genericFigures[name], 150, 33);
    expect(reach('old-tablet')).toBeGreaterThan(1);
    expect(reach('current-phone') / reach('old-tablet')).toBeGreaterThan(1.5);
    expect(reach('fixed-focus-webcam')).toBeLessThan(reach('clamshell-laptop'));
  });

  it.each(Object.entries(genericFigures))('%s has figures that a camera and a scanner can have', (_, figures) => {
    const { previewWidthPx, previewHeightPx, horizontalFovDeg, nearestFocusM, blurPx, noiseGrey } = figures;
    expect(previewWidthPx / previewHeightPx).toBeGreaterThan(1.3);
    expect(previewWidthPx).toBeGreaterThanOrEqual(640);
    expect(horizontalFovDeg).toBeGreaterThanOrEqual(40);
    expect(horizontalFovDeg).toBeLessThanOrEqual(90);
    for (const [value, most] of [
      [nearestFocusM, 1],
      [blurPx, 3],
      [noiseGrey, 20],
    ] as const) {
      expect(value).toBeGreaterThan(0);
      expect(value).toBeLessThanOrEqual(most);
    }
    expect(readerEngineNames).toContain(figures.engine);
    expect(figures.actsOn).toContain('link');
    for (const act of figures.actsOn) expect(scannerActs).toContain(act);
  });

  it('read by all three engines, and act on contacts, or on links alone, as scanners do', () => {
    const all = Object.values(genericFigures);
    expect(new Set(all.map(({ engine }) => engine))).toEqual(new Set(readerEngineNames));
    expect(all.some(({ actsOn }) => actsOn.length === 1)).toBe(true);
    expect(all.some(({ actsOn }) => actsOn.length === scannerActs.length)).toBe(true);
    expect(genericFigures['old-tablet'].actsOn).toEqual(['link', 'contact', 'e-mail']);
    expect(genericFigures['shared-tablet'].actsOn).toEqual(['link', 'contact', 'event', 'place', 'e-mail', 'network']);
  });
});

describe('the pinhole', () => {
  // 60 degrees: half of the width is f times tan 30 degrees.
  const device = { ...genericFigures['shared-tablet'], id: 'd', name: 'd', previewWidthPx: 1280, horizontalFovDeg: 60 };

  it('has a focal length in pixels', () => expect(focalLengthPx(device)).toBeCloseTo(1108.5, 1));

  it('shows a module smaller the farther away it is', () => {
    expect(pixelsPerModule(device, 2, 1)).toBeCloseTo(2.217, 3);
    expect(pixelsPerModule(device, 2, 2)).toBeCloseTo(1.1085, 3);
  });
});
