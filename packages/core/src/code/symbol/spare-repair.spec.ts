import fc from 'fast-check';
import jsQR from 'jsqr';
import { codePixels } from '../look/pixels.js';
import { planSymbol } from './plan.js';
import { coveredByCentre, largestCentre, repairableInBlock, spareRepair } from './spare-repair.js';
import { errorCorrectionLevels, modulesOf } from './versions.js';

const nothing = (version: number): Uint8Array => new Uint8Array(modulesOf(version) ** 2);

describe('spare repair', () => {
  it('is whole where nothing is covered, and each block repairs what the standard says', () => {
    for (const level of errorCorrectionLevels)
      expect(spareRepair(5, level, nothing(5))).toMatchObject({ spare: 1, errors: 0, functionModules: 0 });
    expect([
      repairableInBlock(1, 'L'),
      repairableInBlock(1, 'M'),
      repairableInBlock(1, 'Q'),
      repairableInBlock(1, 'H'),
    ]).toEqual([2, 4, 6, 8]);
    expect([
      repairableInBlock(2, 'L'),
      repairableInBlock(3, 'L'),
      repairableInBlock(4, 'M'),
      repairableInBlock(40, 'H'),
    ]).toEqual([4, 7, 9, 15]);
  });

  it('counts a codeword once, however many of its modules are covered', () => {
    const covered = nothing(2);
    // The first codeword lies in the lower right corner, two columns wide and four modules high.
    const last = modulesOf(2) - 1;
    covered[last * modulesOf(2) + last] = 1;
    expect(spareRepair(2, 'M', covered).errors).toBe(1);
    for (let row = last - 3; row <= last; row += 1)
      covered.fill(1, row * modulesOf(2) + last - 1, row * modulesOf(2) + last + 1);
    expect(spareRepair(2, 'M', covered)).toMatchObject({ errors: 1, repairable: 8, spare: 7 / 8, functionModules: 0 });
  });

  it('tells covered function patterns apart', () => {
    const covered = nothing(3);
    covered.fill(1, 0, 7);
    expect(spareRepair(3, 'Q', covered)).toMatchObject({ spare: 1, functionModules: 7 });
  });

  it('never rises as more is covered', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(1, 4, 8),
        fc.constantFrom(...errorCorrectionLevels),
        fc.uniqueArray(fc.nat(), { maxLength: 40 }),
        (version, level, places) => {
          const covered = nothing(version);
          let before = 1;
          for (const place of places) {
            covered[place % covered.length] = 1;
            const { spare } = spareRepair(version, level, covered);
            expect(spare).toBeLessThanOrEqual(before);
            before = spare;
          }
        },
      ),
      { numRuns: 40 },
    );
  });

  it('says with what a reader agrees: what is left reads, what is used up does not', () => {
    const planned = planSymbol('https://a.example/leaf/field-guide-to-limpets', 'H');
    if (!planned.ok) throw new Error('must fit');
    const { version, modules, level, matrix } = planned.value;
    const reads = (width: number): { reads: boolean; spare: number } => {
      const covered = coveredByCentre(version, width, width);
      // Noise instead of a picture: light where it was dark, and the other way round.
      const spoilt = {
        ...planned.value,
        matrix: matrix.map((module, at) => (covered[at] === 1 ? 1 - module : module)),
      };
      const { widthPx, grey } = codePixels(spoilt, 4);
      const rgba = new Uint8ClampedArray(grey.length * 4);
      grey.forEach((value, index) => rgba.set([value, value, value, 255], index * 4));
      return {
        reads: jsQR(rgba, widthPx, widthPx)?.data === planned.value.payload,
        spare: spareRepair(version, level, covered).spare,
      };
    };
    const all = Array.from({ length: Math.floor((modules - 18) / 2) }, (_, index) => reads(2 * index + 1));
    expect(all.some(({ spare }) => spare < 0)).toBe(true);
    for (const { reads: read, spare } of all) expect(read).toBe(spare >= 0);
  });
});

describe('the largest picture in the middle', () => {
  it('leaves half of the error correction, and one module more would not', () => {
    for (const version of [3, 5, 8]) {
      for (const level of errorCorrectionLevels) {
        const centre = largestCentre(version, level);
        if (centre === null) continue;
        expect(
          spareRepair(version, level, coveredByCentre(version, centre.width, centre.height)).spare,
        ).toBeGreaterThanOrEqual(0.5);
        expect(
          spareRepair(version, level, coveredByCentre(version, centre.width + 1, centre.height + 1)).spare,
        ).toBeLessThan(0.5);
      }
    }
  });

  it('grows with the level', () => {
    const sides = errorCorrectionLevels.map((level) => largestCentre(5, level)?.width ?? 0);
    expect([...sides].sort((a, b) => a - b)).toEqual(sides);
    expect(sides.at(-1)).toBeGreaterThan(sides[0] ?? 0);
  });

  it('keeps its shape, and refuses none', () => {
    const wide = largestCentre(8, 'H', 2);
    expect((wide?.width ?? 0) / (wide?.height ?? 1)).toBeCloseTo(2, 0);
    expect(() => largestCentre(8, 'H', 0)).toThrow(RangeError);
    expect(() => spareRepair(2, 'M', new Uint8Array(3))).toThrow(RangeError);
  });
});

describe('the largest centre', () => {
  it('may reach to the finders and no further, across and down', () => {
    for (const aspect of [1, 0.4, 2.5, 12]) {
      const centre = largestCentre(2, 'H', aspect, 0);
      for (const side of [centre?.width ?? 99, centre?.height ?? 99]) expect((25 - side) / 2).toBeGreaterThanOrEqual(9);
    }
    // Seven modules leave nine on each side exactly.
    expect(largestCentre(2, 'H', 7, 0)).toEqual({ width: 7, height: 1 });
    expect(largestCentre(2, 'H', 1 / 7, 0)).toEqual({ width: 1, height: 7 });
  });
});
