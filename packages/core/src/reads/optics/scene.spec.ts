import { renderFrame } from './camera.js';
import { loseAsJpeg } from './compression.js';
import { defocusSigmaPx } from './lens.js';
import { type Scene } from './scene.js';
import type { GreyFrame } from './sensor.js';
import { tablet, sharp, still, plan, linear, even, meanLight, darkest, brightest } from '../../test/sample-optics.js';

describe('what is between', () => {
  const contrastOf = (frame: GreyFrame): number => brightest(frame) - darkest(frame);
  const near = { ...still, distanceM: 0.8 };

  it('is paler in grey, wider in ink', () => {
    const by = (technique: Scene['technique']): GreyFrame =>
      renderFrame(plan, 160, sharp, near, { ...even, technique });
    expect(contrastOf(by('grey'))).toBeLessThan(contrastOf(by('laser')) - 30);
    expect(meanLight(by('ink'))).toBeLessThan(meanLight(by('laser')));
  });

  it('mirrors a lamp where the surface is glossy, and only there', () => {
    const by = (surface: Scene['surface'], glareX: number): GreyFrame =>
      renderFrame(plan, 160, sharp, { ...near, glareX }, { ...even, surface });
    expect(by('matte', 0.3)).toEqual(by('matte', -0.3));
    const halves = ({ grey, widthPx }: GreyFrame): readonly number[] =>
      [0, 1].map((half) =>
        Array.from(grey).reduce(
          (sum, level, index) => sum + (Math.floor((2 * (index % widthPx)) / widthPx) === half ? linear(level) : 0),
          0,
        ),
      );
    const [left = 0, right = 0] = halves(by('laminated', 0.3));
    const [mattLeft = 1, mattRight = 1] = halves(by('matte', 0));
    expect(right / mattRight).toBeGreaterThan(1.05);
    expect(left / mattLeft).toBeLessThan(right / mattRight);
    expect(meanLight(by('taped', 0))).toBeLessThan(meanLight(by('laminated', 0)));
  });

  it('is darker on one side in uneven light', () => {
    const { grey, widthPx, heightPx } = renderFrame({ modules: 21, matrix: new Uint8Array(441) }, 160, sharp, near, {
      ...even,
      uneven: 0.4,
    });
    const middle = Math.floor(heightPx / 2) * widthPx;
    const at = (share: number): number => linear(grey[middle + Math.round(widthPx * share)] ?? 0);
    // The symbol lies between a quarter and three quarters of the region, about.
    expect(at(0.72) / at(0.28)).toBeGreaterThan(1.3);
    expect(at(0.5) / 0.82).toBeCloseTo(1, 1);
  });

  it('is noisier in the dark, and blurred by a hand that moves then', () => {
    const wall = { modules: 21, matrix: new Uint8Array(441) };
    const sigma = (light: Scene['light']): number => {
      const { grey, widthPx, heightPx } = renderFrame(wall, 160, { ...sharp, noiseGrey: 6 }, near, { ...even, light });
      const middle = Array.from(
        grey.subarray(
          Math.floor(heightPx / 2) * widthPx + widthPx / 2 - 40,
          Math.floor(heightPx / 2) * widthPx + widthPx / 2 + 40,
        ),
      );
      const mean = middle.reduce((sum, level) => sum + level, 0) / middle.length;
      return Math.sqrt(middle.reduce((sum, level) => sum + (level - mean) ** 2, 0) / middle.length);
    };
    expect(sigma('dim')).toBeGreaterThan(1.3 * sigma('evening'));
    const stripes = { modules: 41, matrix: Uint8Array.from({ length: 41 * 41 }, (_, index) => (index % 41) % 2) };
    const contrast = (light: Scene['light']): number => {
      const { grey, widthPx, heightPx } = renderFrame(
        stripes,
        164,
        { ...sharp, blurPx: 0.5 },
        { ...near, distanceM: 1.48, handXDegPerS: 2 },
        { ...even, light },
      );
      const middle = grey.subarray(
        Math.floor(heightPx / 2) * widthPx + Math.floor(widthPx / 2) - 20,
        Math.floor(heightPx / 2) * widthPx + Math.floor(widthPx / 2) + 20,
      );
      return Math.max(...middle) - Math.min(...middle);
    };
    expect(contrast('dim')).toBeLessThan(contrast('daylight') - 10);
  });

  it('is out of focus nearer than the nearest focus, by the disc of confusion', () => {
    const camera = { ...tablet, horizontalFovDeg: 90, nearestFocusM: 0.5 };
    // 640 px x 1.6 mm x (1/0.25 - 1/0.5) = 2.048 px wide; a quarter of that is its sigma.
    expect(defocusSigmaPx(camera, 0.25)).toBeCloseTo(0.512, 6);
    expect(defocusSigmaPx(camera, 0.5)).toBe(0);
    expect(defocusSigmaPx(camera, 3)).toBe(0);
  });

  it('loses little to good compression and much to bad', () => {
    const frame = renderFrame(plan, 120, tablet, { ...still, distanceM: 2 });
    const lost = (quality: number): number => {
      const grey = frame.grey.slice();
      loseAsJpeg(grey, frame.widthPx, frame.heightPx, quality);
      return Math.sqrt(
        grey.reduce((sum, level, index) => sum + (level - (frame.grey[index] ?? 0)) ** 2, 0) / grey.length,
      );
    };
    expect(lost(100)).toBeLessThan(0.8);
    expect(lost(60)).toBeGreaterThan(lost(90));
    expect(renderFrame(plan, 120, { ...tablet, jpegQuality: 40 }, still).grey).not.toEqual(
      renderFrame(plan, 120, tablet, still).grey,
    );
    expect(() => lost(0)).toThrow(RangeError);
  });

  it('refuses sizes and distances that do not exist', () => {
    expect(() => renderFrame(plan, 0, tablet, still)).toThrow(RangeError);
    expect(() => renderFrame(plan, 100, tablet, { ...still, distanceM: Number.NaN })).toThrow(RangeError);
  });
});
