import { plainLook } from './look.js';
import { codeBits, codePixels, isTwoColours } from './pixels.js';
import { planned } from '../../test/sample-look.js';

describe('pixels of two colours', () => {
  it('are whole ones a module, a bit each', () => {
    const plan = planned('9');
    const { sidePx, bytesPerRow, bits } = codeBits(plan, 3);
    expect([sidePx, bytesPerRow, bits.length]).toEqual([87, 11, 957]);
    const { grey } = codePixels(plan, 3);
    for (let y = 0; y < sidePx; y += 1) {
      for (let x = 0; x < sidePx; x += 1) {
        const [row, column] = [Math.floor(y / 3) - 4, Math.floor(x / 3) - 4];
        const dark = row >= 0 && column >= 0 && row < 21 && column < 21 && plan.matrix[row * 21 + column] === 1;
        expect(grey[y * sidePx + x]).toBe(dark ? 0 : 255);
      }
    }
    expect(() => codeBits(plan, 1.5)).toThrow(RangeError);
  });

  it('serve looks of squares in two colours only', () => {
    expect(isTwoColours({ ...plainLook, ink: '#123a6b' })).toBe(true);
    for (const change of [{ inkTo: '#000000' }, { modules: 'worn' }, { finders: 'ring' }, { frame: 'line' }] as const)
      expect(isTwoColours({ ...plainLook, ...change })).toBe(false);
  });
});
