import { planSymbol } from '../../code/symbol/plan.js';
import { renderFrame } from './camera.js';
import { focalLengthPx, pixelsPerModule } from '../../school/device/device.js';
import { farEdgePixelsPerModule } from './projection.js';
import { noiseSource, uniformSource } from './random.js';
import { tablet, sharp, still, plan, linear, even, meanLight, darkest, brightest } from '../../test/sample-optics.js';

describe('closed forms', () => {
  it('focal length is W / (2 tan(F/2))', () => {
    expect(focalLengthPx({ previewWidthPx: 1280, horizontalFovDeg: 90 })).toBeCloseTo(640, 6);
  });

  it('pixels per module are f m / D', () => {
    expect(pixelsPerModule({ ...tablet, horizontalFovDeg: 90 }, 5, 2)).toBeCloseTo(1.6, 6);
  });

  it('tilt makes the far edge finer', () => {
    const straight = farEdgePixelsPerModule(plan.modules, 150, tablet, still);
    expect(straight).toBeCloseTo(pixelsPerModule(tablet, 150 / plan.modules, 1), 6);
    expect(farEdgePixelsPerModule(plan.modules, 150, tablet, { ...still, tiltDeg: 25 })).toBeLessThan(
      straight * Math.cos((25 * Math.PI) / 180) + 1e-9,
    );
  });
});

describe('the frame', () => {
  it('is the same for the same seed and another for another', () => {
    const one = renderFrame(plan, 120, tablet, still);
    expect(renderFrame(plan, 120, tablet, still)).toEqual(one);
    expect(renderFrame(plan, 120, tablet, { ...still, seed: 2 }).grey).not.toEqual(one.grey);
  });

  it('shows the code as large as the closed form says', () => {
    const { grey, widthPx, heightPx } = renderFrame(plan, 120, sharp, still);
    const row = grey.subarray(Math.floor(heightPx / 2) * widthPx, (Math.floor(heightPx / 2) + 1) * widthPx);
    const dark = Array.from(row.keys()).filter((x) => (row[x] ?? 255) < 100);
    const widthOnSensor = (dark.at(-1) ?? 0) - (dark[0] ?? 0) + 1;
    expect(Math.abs(widthOnSensor - pixelsPerModule(sharp, 120, 1))).toBeLessThan(120 / plan.modules);
  });

  it('puts ink and paper at the sRGB levels of their reflectances', () => {
    const frame = renderFrame(plan, 300, sharp, { ...still, distanceM: 0.6 }, even);
    const srgb = (light: number): number => 255 * (1.055 * light ** (1 / 2.4) - 0.055);
    expect(darkest(frame)).toBe(Math.round(srgb(0.05)));
    expect(brightest(frame)).toBe(Math.round(srgb(0.82)));
  });

  it('loses contrast to blur and keeps its light', () => {
    const clear = renderFrame(plan, 60, sharp, still);
    const blurred = renderFrame(plan, 60, { ...sharp, blurPx: 2 }, still);
    expect(darkest(blurred)).toBeGreaterThan(darkest(clear) + 10);
    expect(Math.abs(meanLight(blurred) / meanLight(clear) - 1)).toBeLessThan(0.01);
  });

  it('has noise of the given sigma', () => {
    const clear = renderFrame(plan, 60, sharp, still);
    const noisy = renderFrame(plan, 60, { ...sharp, noiseGrey: 6 }, still);
    const differences = Array.from(noisy.grey, (level, index) => level - (clear.grey[index] ?? 0));
    const sigma = Math.sqrt(differences.reduce((sum, difference) => sum + difference ** 2, 0) / differences.length);
    expect(sigma).toBeGreaterThan(5.4);
    expect(sigma).toBeLessThan(6.6);
  });

  it('never leaves the sensor', () => {
    const { widthPx, heightPx } = renderFrame(plan, 180, tablet, { ...still, distanceM: 0.1 });
    expect(widthPx).toBeLessThanOrEqual(tablet.previewWidthPx);
    expect(heightPx).toBeLessThanOrEqual(tablet.previewHeightPx);
  });

  it('takes away as much light as the ink covers', () => {
    // One dark module, 10 mm wide, with its ink spread: light lost against paper alone, in pixels.
    const camera = { ...sharp, previewWidthPx: 640, previewHeightPx: 360 };
    const view = { ...still, shiftXPx: 0.37, shiftYPx: 0.21 };
    const modules = 21;
    const one = new Uint8Array(modules * modules);
    one[10 * modules + 10] = 1;
    const dark = renderFrame({ modules, matrix: one }, 10 * modules, camera, view);
    const light = renderFrame({ modules, matrix: new Uint8Array(modules * modules) }, 10 * modules, camera, view);
    const lost = Array.from(dark.grey).reduce(
      (sum, level, index) => sum + linear(light.grey[index] ?? 0) - linear(level),
      0,
    );
    expect(lost / (0.82 - 0.05) / pixelsPerModule(camera, 10, 1) ** 2).toBeCloseTo((1 + 2 / 16) ** 2, 1);
  });

  it('is as good as 8 x 8 points a pixel, to 1.5 grey levels rms', () => {
    // The smallest symbol: 64 points in each pixel take their time.
    const planned = planSymbol('TIDES');
    if (!planned.ok) throw new Error(planned.problem.reason);
    const small = planned.value;
    for (const [pixels, tiltDeg, pitchDeg, rollDeg] of [
      [2, 14, 0, 5],
      [3, 0, 12, -6],
      [4, 24, -8, 3],
    ] as const) {
      const distanceM = (focalLengthPx(sharp) * 120) / (small.modules * pixels * 1000);
      const view = { ...still, distanceM, tiltDeg, pitchDeg, rollDeg, handXDegPerS: 1, shiftXPx: 0.31, shiftYPx: 0.17 };
      const lens = { ...sharp, blurPx: 0.7 };
      const usual = renderFrame(small, 120, lens, view);
      const fine = renderFrame(small, 120, lens, { ...view, pointsAcross: 8 });
      const squares = Array.from(usual.grey).reduce(
        (sum, level, index) => sum + (level - (fine.grey[index] ?? 0)) ** 2,
        0,
      );
      expect(Math.sqrt(squares / usual.grey.length)).toBeLessThan(1.5);
    }
  });

  it('keeps as much of the contrast of stripes as the closed form says', () => {
    // A square wave of two modules behind a Gaussian: its harmonics are damped by exp(-2 (pi n s / T)^2), and by the pixel's own width.
    const modules = 41;
    const matrix = Uint8Array.from({ length: modules * modules }, (_, index) => (index % modules) % 2);
    for (const [pixels, blurPx] of [
      [2, 0.8],
      [3, 1.2],
      [4, 2],
    ] as const) {
      const distanceM = (focalLengthPx(sharp) * 164) / (modules * pixels * 1000);
      // At four shifts, so that pixels meet the stripes' middles.
      const row = [0, 0.25, 0.5, 0.75].flatMap((shiftXPx) => {
        const { grey, widthPx, heightPx } = renderFrame(
          { modules, matrix },
          164,
          { ...sharp, blurPx },
          { ...still, distanceM, shiftXPx },
          even,
        );
        const middle = Math.floor(heightPx / 2) * widthPx + Math.floor(widthPx / 2);
        return Array.from(grey.subarray(middle - 8 * pixels, middle + 8 * pixels), linear);
      });
      const amplitude = (Math.max(...row) - Math.min(...row)) / 2;
      const period = 2 * pixels;
      // A dark stripe is an eighth wider than a light one, since toner spreads.
      const dark = (1 + 2 / 16) / 2;
      const expectedAt = (sigmaShare: number): number =>
        [1, 3].reduce((sum, n) => {
          const wave = ((2 * (0.82 - 0.05)) / (Math.PI * n)) * Math.sin(Math.PI * n * dark);
          const variance = sigmaShare ** 2 * (blurPx ** 2 + 1 / 12) - 1 / 12;
          const pixel = Math.sin((Math.PI * n) / period) / ((Math.PI * n) / period);
          return sum + wave * pixel * Math.exp((-2 * (Math.PI * n) ** 2 * variance) / period ** 2);
        }, 0);
      // Sigmas are taken in steps of 9 %, so up to 4.5 % off; two parts in a hundred more for everything else.
      expect(amplitude).toBeGreaterThan(expectedAt(1.045) * 0.98);
      expect(amplitude).toBeLessThan(expectedAt(0.955) * 1.02);
    }
  });

  it('turns about the horizontal axis as about the vertical one', () => {
    const turned = {
      modules: plan.modules,
      matrix: Uint8Array.from(
        plan.matrix,
        (_, index) => plan.matrix[(index % plan.modules) * plan.modules + Math.floor(index / plan.modules)] ?? 0,
      ),
    };
    const square = { ...sharp, previewHeightPx: 1280, blurPx: 0.6 };
    const tilted = renderFrame(plan, 120, square, { ...still, tiltDeg: 20 }, even);
    const pitched = renderFrame(turned, 120, square, { ...still, pitchDeg: -20 }, even);
    expect([pitched.widthPx, pitched.heightPx]).toEqual([tilted.heightPx, tilted.widthPx]);
    const differences = Array.from(pitched.grey, (level, index) =>
      Math.abs(
        level - (tilted.grey[(index % pitched.widthPx) * tilted.widthPx + Math.floor(index / pitched.widthPx)] ?? 0),
      ),
    );
    expect(Math.max(...differences)).toBeLessThan(3);
  });
});

describe('repeatable numbers', () => {
  it('are uniform and normal', () => {
    const uniform = uniformSource(7);
    const draws = Array.from({ length: 4000 }, () => uniform());
    expect(Math.abs(draws.reduce((sum, value) => sum + value, 0) / draws.length - 0.5)).toBeLessThan(0.02);
    expect(Math.min(...draws)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...draws)).toBeLessThan(1);
    const row = noiseSource(7);
    const deviates = [...row().subarray(0, 2000), ...row().subarray(0, 2000)];
    expect(
      Math.abs(Math.sqrt(deviates.reduce((sum, value) => sum + value * value, 0) / deviates.length) - 1),
    ).toBeLessThan(0.05);
  });
});
