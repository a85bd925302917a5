import { planSymbol, type SymbolPlan } from '../../code/symbol/plan.js';
import { renderFrame } from './camera.js';
import { loseAsJpeg } from './compression.js';
import { focalLengthPx, pixelsPerModule, readerEngineNames, type DeviceProfile } from '../../school/device/device.js';
import {
  foretell,
  neededPixelsPerModule,
  predictReachM,
  sizeForDistanceMm,
  smallestPosterCodeMm,
} from './predictor.js';
import { defocusSigmaPx } from './lens.js';
import { farEdgePixelsPerModule, type View } from './projection.js';
import { noiseSource, uniformSource } from './random.js';
import { nearestDistanceM, rehearseDevice } from './rehearse.js';
import { usualScene, type Scene } from './scene.js';
import type { GreyFrame } from './sensor.js';

const tablet: DeviceProfile = {
  id: 't',
  name: 'Tablet',
  previewWidthPx: 1280,
  previewHeightPx: 720,
  horizontalFovDeg: 60,
  nearestFocusM: 0.15,
  blurPx: 0.8,
  noiseGrey: 6,
  engine: 'zxing',
};
const sharp: DeviceProfile = { ...tablet, id: 's', blurPx: 0, noiseGrey: 0 };
const still: View = { distanceM: 1, tiltDeg: 0, rollDeg: 0, shiftXPx: 0, shiftYPx: 0, seed: 1 };
const planned = planSymbol('https://a.example/leaf');
if (!planned.ok) throw new Error('the test needs a symbol');
const plan: SymbolPlan = planned.value;

/** Linear light of a grey level (IEC 61966-2-1). */
const linear = (level: number): number => ((level / 255 + 0.055) / 1.055) ** 2.4;
/** Light that falls alike everywhere. */
const even: Scene = { ...usualScene, uneven: 0 };
const meanLight = (frame: GreyFrame): number =>
  frame.grey.reduce((sum, level) => sum + linear(level), 0) / frame.grey.length;
const darkest = (frame: GreyFrame): number => frame.grey.reduce((least, level) => Math.min(least, level));
const brightest = (frame: GreyFrame): number => frame.grey.reduce((most, level) => Math.max(most, level));

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
    for (const [pixels, tiltDeg, pitchDeg, rollDeg] of [
      [2, 14, 0, 5],
      [3, 0, 12, -6],
      [4, 24, -8, 3],
    ] as const) {
      const distanceM = (focalLengthPx(sharp) * 120) / (plan.modules * pixels * 1000);
      const view = { ...still, distanceM, tiltDeg, pitchDeg, rollDeg, handXDegPerS: 1, shiftXPx: 0.31, shiftYPx: 0.17 };
      const lens = { ...sharp, blurPx: 0.7 };
      const usual = renderFrame(plan, 120, lens, view);
      const fine = renderFrame(plan, 120, lens, { ...view, pointsAcross: 8 });
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

describe('what stands between', () => {
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

describe('rehearsing', () => {
  /** A reader that reads whatever is at least so many pixels wide. */
  const readerFor =
    (pixels: number, text = plan.payload) =>
    (frame: GreyFrame): Promise<string | null> =>
      Promise.resolve(frame.widthPx >= pixels ? text : null);
  const small = { ...tablet, previewWidthPx: 640, previewHeightPx: 360 };
  const border = (plan.modules + 2 * (4 + 2 + 1)) / plan.modules;

  it('finds the distance at which a reader stops', async () => {
    const limitPx = 60;
    const result = await rehearseDevice(plan, 100, small, readerFor(limitPx));
    const expectedM = (focalLengthPx(small) * 100 * border) / (limitPx * 1000);
    expect(result?.misread).toBeNull();
    expect(result?.reachM).toBeGreaterThan(expectedM * 0.8);
    expect(result?.reachM).toBeLessThan(expectedM * 1.05);
    expect(result?.hitAndMissM).toBeGreaterThanOrEqual(result?.reachM ?? 0);
  });

  it('starts where the code fits into the picture', async () => {
    const result = await rehearseDevice(plan, 100, small, readerFor(40));
    expect(result?.fromM).toBeCloseTo(nearestDistanceM(plan.modules, 100, small), 1);
  });

  it('says 0 for a reader that never reads, and does not go on for ever', async () => {
    const result = await rehearseDevice(plan, 100, small, () => Promise.resolve(null));
    expect(result).toMatchObject({ reachM: 0, hitAndMissM: 0 });
    expect(result?.frames).toBeLessThan(2000);
  });

  it('goes on beyond a nearness at which a reader is lost', async () => {
    const lostNear = (frame: GreyFrame): Promise<string | null> =>
      Promise.resolve(frame.widthPx > 200 || frame.widthPx < 60 ? null : plan.payload);
    const result = await rehearseDevice(plan, 100, small, lostNear);
    expect(result?.fromM).toBeGreaterThan(nearestDistanceM(plan.modules, 100, small));
    expect(result?.reachM).toBeGreaterThan(result?.fromM ?? 0);
  });

  it('counts no reading that says something else, and names the difference', async () => {
    const result = await rehearseDevice(plan, 100, small, readerFor(10, 'https://a.example/loaf'));
    expect(result).toMatchObject({ reachM: 0, misread: { at: 19, meant: 'eaf', read: 'oaf' } });
  });

  it('stops when asked to', async () => {
    let asked = 0;
    expect(await rehearseDevice(plan, 100, small, readerFor(40), { stopped: () => (asked += 1) > 3 })).toBeNull();
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
