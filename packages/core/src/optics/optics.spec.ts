import { planSymbol, type SymbolPlan } from '../symbol/plan.js';
import { farEdgePixelsPerModule, renderFrame, type GreyFrame, type View } from './camera.js';
import { focalLengthPx, pixelsPerModule, type DeviceProfile } from './device.js';
import { neededPixelsPerModule, predictReachM, sizeForDistanceMm, smallestPosterCodeMm } from './predictor.js';
import { normalSource, uniformSource } from './random.js';
import { nearestDistanceM, rehearseDevice } from './rehearse.js';

const tablet: DeviceProfile = { id: 't', name: 'Tablet', previewWidthPx: 1280, previewHeightPx: 720, horizontalFovDeg: 60, nearestFocusM: 0.15, blurPx: 0.8, noiseGrey: 6, engine: 'zxing' };
const sharp: DeviceProfile = { ...tablet, id: 's', blurPx: 0, noiseGrey: 0 };
const still: View = { distanceM: 1, tiltDeg: 0, rollDeg: 0, shiftXPx: 0, shiftYPx: 0, seed: 1 };
const planned = planSymbol('https://a.example/leaf');
if (!planned.ok) throw new Error('the test needs a symbol');
const plan: SymbolPlan = planned.value;

/** Linear light of a grey level (IEC 61966-2-1). */
const linear = (level: number): number => ((level / 255 + 0.055) / 1.055) ** 2.4;
const meanLight = (frame: GreyFrame): number => frame.grey.reduce((sum, level) => sum + linear(level), 0) / frame.grey.length;
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
    expect(farEdgePixelsPerModule(plan.modules, 150, tablet, { ...still, tiltDeg: 25 })).toBeLessThan(straight * Math.cos((25 * Math.PI) / 180) + 1e-9);
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
    const frame = renderFrame(plan, 300, sharp, { ...still, distanceM: 0.6 });
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
    const lost = Array.from(dark.grey).reduce((sum, level, index) => sum + linear(light.grey[index] ?? 0) - linear(level), 0);
    expect(lost / (0.82 - 0.05) / pixelsPerModule(camera, 10, 1) ** 2).toBeCloseTo((1 + 2 / 16) ** 2, 1);
  });

  it('is as good as finer sampling, to 2 grey levels rms behind the lens', () => {
    const lens = { ...sharp, blurPx: 0.7 };
    for (const distanceM of [0.9, 1.6, 2.4]) {
      const view = { ...still, distanceM, tiltDeg: 14, rollDeg: 5, shiftXPx: 0.31, shiftYPx: 0.17 };
      const usual = renderFrame(plan, 120, lens, view);
      const fine = renderFrame(plan, 120, lens, view, 16);
      const squares = Array.from(usual.grey).reduce((sum, level, index) => sum + (level - (fine.grey[index] ?? 0)) ** 2, 0);
      expect(Math.sqrt(squares / usual.grey.length)).toBeLessThan(2);
    }
  });

  it('refuses sizes and distances that do not exist', () => {
    expect(() => renderFrame(plan, 0, tablet, still)).toThrow(RangeError);
    expect(() => renderFrame(plan, 100, tablet, { ...still, distanceM: Number.NaN })).toThrow(RangeError);
  });
});

describe('predictor', () => {
  it('reaches farther with larger codes and sharper cameras', () => {
    expect(predictReachM(tablet, 200, 33)).toBeCloseTo(2 * predictReachM(tablet, 100, 33), 9);
    expect(neededPixelsPerModule({ ...tablet, blurPx: 1.2 })).toBeGreaterThan(neededPixelsPerModule(tablet));
    expect(neededPixelsPerModule({ ...tablet, noiseGrey: 12 })).toBeGreaterThan(neededPixelsPerModule(tablet));
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
  const readerFor = (pixels: number, text = plan.payload) => (frame: GreyFrame): Promise<string | null> => Promise.resolve(frame.widthPx >= pixels ? text : null);
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
    const lostNear = (frame: GreyFrame): Promise<string | null> => Promise.resolve(frame.widthPx > 200 || frame.widthPx < 60 ? null : plan.payload);
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
    const normal = normalSource(7);
    const deviates = Array.from({ length: 4000 }, () => normal());
    expect(Math.abs(Math.sqrt(deviates.reduce((sum, value) => sum + value * value, 0) / deviates.length) - 1)).toBeLessThan(0.05);
  });
});
