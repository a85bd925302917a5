import { plainLook } from '../../code/look/look.js';
import { reachShareOf } from '../../code/look/reach-share.js';
import { neededSizeMm, predictReachM } from '../../reads/optics/predictor.js';
import { sharp, tablet } from '../../test/sample-optics.js';
import { codeMmForDistance, reachOfPrintM } from './poster.js';

describe('how far a print is read', () => {
  const share = reachShareOf(plainLook);

  it('is what was found out by rehearsal, in proportion to its size', () => {
    expect(reachOfPrintM(33, 80, plainLook, [tablet], { sizeMm: 40, leastReachM: 1.5 })).toBe(3);
    expect(codeMmForDistance(33, 3, plainLook, [tablet], { sizeMm: 40, leastReachM: 1.5 })).toBe(80);
    expect(codeMmForDistance(33, 3.01, plainLook, [tablet], { sizeMm: 40, leastReachM: 1.5 })).toBe(81);
  });

  it('is foretold for the weakest device where nothing was, or nothing was read', () => {
    const weakest = Math.min(predictReachM(tablet, 60, 33), predictReachM(sharp, 60, 33)) * share;
    for (const measured of [null, { sizeMm: 40, leastReachM: 0 }])
      expect(reachOfPrintM(33, 60, plainLook, [tablet, sharp], measured)).toBe(weakest);
    const needed = Math.max(neededSizeMm(tablet, 33, 2 / share), neededSizeMm(sharp, 33, 2 / share));
    for (const measured of [null, { sizeMm: 40, leastReachM: 0 }])
      expect(codeMmForDistance(33, 2, plainLook, [tablet, sharp], measured)).toBe(Math.ceil(needed - 1e-9));
  });

  it('has no end and needs no size without devices', () => {
    expect(reachOfPrintM(33, 60, plainLook, [], null)).toBe(Infinity);
    expect(codeMmForDistance(33, 2, plainLook, [], null)).toBe(0);
  });
});
