import { plainLook } from '../../code/look/look.js';
import { planSymbol } from '../../code/symbol/plan.js';
import { attempt } from './attempt.js';
import type { DeviceProfile } from '../../school/device/device.js';
import { limitsAt, sizeThatReadsMm } from './limits.js';
import { usualScene } from './scene.js';
import type { GreyFrame } from './sensor.js';

const device: DeviceProfile = {
  id: 't',
  name: 'Tablet',
  previewWidthPx: 640,
  previewHeightPx: 360,
  horizontalFovDeg: 60,
  nearestFocusM: 0.15,
  blurPx: 0.8,
  noiseGrey: 9,
  engine: 'zxing',
};
const planned = planSymbol('https://a.example/leaf');
if (!planned.ok) throw new Error('the test needs a symbol');
const plan = planned.value;

/** Mean difference of neighbours: grows with noise, shrinks with blur. */
const roughness = ({ grey, widthPx }: GreyFrame): number =>
  grey.reduce((sum, level, index) => sum + (index % widthPx === 0 ? 0 : Math.abs(level - (grey[index - 1] ?? 0))), 0) /
  grey.length;
const darkest = ({ grey }: GreyFrame): number => grey.reduce((least, level) => Math.min(least, level));

describe('what limits', () => {
  it('is what makes it read when it is removed, and nothing else', async () => {
    const look = { ...plainLook, ink: '#808080' as const };
    const at = (read: (frame: GreyFrame) => boolean, wanted: typeof look | null = null) =>
      limitsAt({ plan, look: wanted, sizeMm: 120 }, device, 1, (frame) =>
        Promise.resolve(read(frame) ? plan.payload : null),
      );
    expect(await at(() => false)).toEqual([]);
    expect(await at(() => true)).toEqual(['light', 'tilt', 'blur', 'noise']);
    // A reader that refuses grey modules is helped by a plain look alone.
    expect(await at((frame) => darkest(frame) < 90, look)).toEqual(['look']);
  });

  it('noise, for a reader that is lost in noise', async () => {
    const wall = (frame: GreyFrame): number =>
      roughness({ ...frame, grey: frame.grey.subarray(0, frame.widthPx * 4), heightPx: 4 });
    expect(
      await limitsAt({ plan, look: null, sizeMm: 120 }, device, 1, (frame) =>
        Promise.resolve(wall(frame) < 5 ? plan.payload : null),
      ),
    ).toEqual(['noise']);
  });

  it('is answered by a size', () => {
    expect(sizeThatReadsMm(100, 1, 2)).toBe(210);
    expect(sizeThatReadsMm(100, 0, 2)).toBeNull();
  });
});

describe('an attempt', () => {
  it('is ten frames, the same for the same seed', async () => {
    let asked = 0;
    const staging = { code: { ...plan, look: null }, sizeMm: 120, device, scene: usualScene, tiltDeg: 10 };
    const seen = await attempt(staging, 1, () =>
      Promise.resolve((asked += 1) % 2 === 0 ? plan.payload : 'something else'),
    );
    expect([seen.read, seen.of, asked]).toEqual([5, 10, 10]);
    expect((await attempt(staging, 1, () => Promise.resolve(null))).first.grey.slice(0, 500)).toEqual(
      seen.first.grey.slice(0, 500),
    );
  });
});
