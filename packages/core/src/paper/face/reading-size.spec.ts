import fc from 'fast-check';
import { readingArcs, readingDistanceM, typeSizePt, type ReadingArc } from './reading-size.js';

const arc = fc.constantFrom(...(Object.keys(readingArcs) as ReadingArc[]));
const metres = fc.double({ min: 0.1, max: 30, noNaN: true });

describe('the size of type that is read from a distance', () => {
  it('is a height of small letters of 10.5 mm for comfort at 1.8 m, and half of that to be legible', () => {
    expect(typeSizePt(1.8, 'comfortable') * 0.5 * (25.4 / 72)).toBeCloseTo(10.47, 2);
    expect(typeSizePt(1.8, 'comfortable')).toBeCloseTo(59.4, 1);
    expect(typeSizePt(1.8, 'legible')).toBeCloseTo(29.7, 1);
    expect(typeSizePt(0.5, 'near')).toBeCloseTo(12.4, 1);
  });

  it('never gets smaller as the distance grows', () => {
    fc.assert(
      fc.property(metres, metres, arc, (one, other, each) => {
        const [near, far] = [Math.min(one, other), Math.max(one, other)];
        return typeSizePt(near, each) <= typeSizePt(far, each);
      }),
    );
  });

  it('is read from just that distance', () => {
    fc.assert(
      fc.property(metres, arc, (distanceM, each) => {
        return Math.abs(readingDistanceM(typeSizePt(distanceM, each), each) - distanceM) < 1e-9;
      }),
    );
  });
});
