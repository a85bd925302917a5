import { plainLook } from '../../code/look/look.js';
import { reachShareOf } from '../../code/look/reach-share.js';
import { neededSizeMm, predictReachM } from '../../reads/optics/predictor.js';
import { sharp, tablet } from '../../test/sample-optics.js';
import { codeMmForDistance, largestPosterCodeMm, posterCodeMm, reachOfPrintM } from './poster.js';

describe('the size of a poster’s code', () => {
  const drawing = { modules: 33, surround: { left: 4, top: 4, right: 4, bottom: 4 } };
  const sizeOf = (distanceM: number, chosenMm: number | null = null): number =>
    posterCodeMm(drawing, plainLook, 'A4', { devices: [tablet], distanceM }, chosenMm);
  const largestMm = largestPosterCodeMm('A4', drawing.modules, drawing.surround);

  it('grows with the distance up to what the paper holds', () => {
    expect(sizeOf(1)).toBeLessThan(sizeOf(2));
    expect(sizeOf(30)).toBe(largestMm);
  });

  it('is the one that was chosen by hand, as far as the paper holds it', () => {
    expect([sizeOf(1, 60), sizeOf(1, 900)]).toEqual([60, largestMm]);
  });
});

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
