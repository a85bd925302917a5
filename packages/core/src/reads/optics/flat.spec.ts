import { plainLook } from '../../code/look/look.js';
import { plan } from '../../test/sample-optics.js';
import { flatDpi, flatFrame } from './flat.js';

describe('a code on a flatbed scanner', () => {
  const border = 2 * (4 + 2 + 1);

  it('has whole pixels a module, as many as its size gives, up to ten', () => {
    const width = (sizeMm: number): number => flatFrame(plan, sizeMm).widthPx / (plan.modules + border);
    const fourPixelsMm = (4 * plan.modules * 25.4) / flatDpi;
    expect(width(fourPixelsMm + 0.1)).toBe(4);
    expect(width(fourPixelsMm - 0.1)).toBe(3);
    expect(width(2)).toBe(1);
    expect(width(400)).toBe(10);
  });

  it('is as dark and light as its look prints, module by module', () => {
    const levels = (ink: string): readonly number[] => {
      const { grey } = flatFrame({ ...plan, look: { ...plainLook, ink } }, 100);
      return [...new Set(grey)]
        .sort((one, other) => one - other)
        .filter((_, at, all) => at === 0 || at === all.length - 1);
    };
    const [black = 0, white = 0] = levels('#000000');
    const [pale = 0, same = 0] = levels('#b0b0b0');
    expect(white - black).toBeGreaterThan(150);
    expect(pale).toBeGreaterThan(black + 50);
    expect(same).toBe(white);
  });

  it('refuses a size that is none', () => expect(() => flatFrame(plan, 0)).toThrow(RangeError));
});
