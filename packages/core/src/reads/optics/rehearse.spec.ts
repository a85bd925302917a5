import { focalLengthPx } from '../../school/device/device.js';
import { nearestDistanceM, rehearseDevice } from './rehearse.js';
import type { GreyFrame } from './sensor.js';
import { tablet, plan } from '../../test/sample-optics.js';

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

  it('believes what a code of the same shape gave where trials confirm it, with far fewer frames', async () => {
    const first = await rehearseDevice(plan, 100, small, readerFor(60));
    const second = await rehearseDevice(plan, 100, small, readerFor(60), { like: first });
    expect(second).toMatchObject({ reachM: first?.reachM, hitAndMissM: first?.hitAndMissM, fromM: first?.fromM });
    expect(second?.frames).toBeLessThan((first?.frames ?? 0) / 2);
  });

  it('searches again where they do not', async () => {
    const first = await rehearseDevice(plan, 100, small, readerFor(40));
    const alone = await rehearseDevice(plan, 100, small, readerFor(70));
    const after = await rehearseDevice(plan, 100, small, readerFor(70), { like: first });
    expect((after?.reachM ?? 0) / (alone?.reachM ?? 1)).toBeCloseTo(1, 1);
    expect(after?.reachM).toBeLessThan(first?.reachM ?? 0);
    const never = await rehearseDevice(plan, 100, small, () => Promise.resolve(null), { like: first });
    expect(never?.reachM).toBe(0);
    const nothing = { reachM: 0, hitAndMissM: 0, fromM: 0 };
    expect((await rehearseDevice(plan, 100, small, readerFor(60), { like: nothing }))?.reachM).toBeGreaterThan(0);
  });
});
