import { genericDevices, genericFigures } from './device-profiles.js';
import { predictReachM } from '../../reads/optics/predictor.js';

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
});
