import fc from 'fast-check';
import { fromOklch, hexOf, inGrey, luminance, rgbOf, toOklch } from './colour.js';
import { contrastOf, hasEnoughContrast, leastContrast, nearestEnough, prints, type LookColours } from './contrast.js';

const colour = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
const on = (dark: string, light = '#ffffff', second?: string): LookColours => ({
  dark: second === undefined ? [dark] : [dark, second],
  light,
});

describe('colours', () => {
  it('go to OKLCH and back within a step of eight bits', () => {
    fc.assert(
      fc.property(colour, (hex) => {
        const back = rgbOf(hexOf(fromOklch(toOklch(rgbOf(hex)))));
        rgbOf(hex).forEach((channel, index) =>
          expect(Math.abs(channel - (back[index] ?? 0))).toBeLessThanOrEqual(1.01 / 255),
        );
      }),
    );
  });

  it('agree with known values', () => {
    expect(toOklch(rgbOf('#ffffff')).lightness).toBeCloseTo(1, 4);
    const red = toOklch(rgbOf('#ff0000'));
    expect(red.lightness).toBeCloseTo(0.628, 3);
    expect(red.chroma).toBeCloseTo(0.2577, 3);
    expect(luminance(rgbOf('#00ff00'))).toBeCloseTo(0.7152, 4);
    expect(hexOf(inGrey(rgbOf('#ff0000')))).toBe('#4c4c4c');
    expect(() => rgbOf('red')).toThrow(RangeError);
  });

  it('stay in sRGB whatever lightness is asked for', () => {
    fc.assert(
      fc.property(colour, fc.double({ min: 0, max: 1, noNaN: true }), (hex, lightness) =>
        fromOklch({ ...toOklch(rgbOf(hex)), lightness }).every((channel) => channel >= 0 && channel <= 1),
      ),
    );
  });
});

describe('contrast', () => {
  it('of black on white is that of ink on paper', () => {
    const { symbolContrast, modulation, grade, lightOnDark } = contrastOf(on('#000000'), 'colour');
    expect(symbolContrast).toBeCloseTo(0.77, 6);
    expect([modulation, grade, lightOnDark]).toEqual([1, 4, false]);
  });

  it('names light on dark', () =>
    expect(contrastOf(on('#ffffff', '#000000'), 'colour')).toMatchObject({ lightOnDark: true, grade: 4 }));

  it('falls where colours turn to the same grey', () => {
    const colours = on('#d00000', '#2f8f2f');
    expect(contrastOf(colours, 'colour').symbolContrast).toBeLessThan(0.2);
    expect(contrastOf(colours, 'grey').symbolContrast).toBeLessThan(
      contrastOf(on('#000000'), 'grey').symbolContrast / 4,
    );
    expect(hasEnoughContrast(colours)).toBe(false);
  });

  it.each([
    ['#000000', true],
    ['#1d6f5b', true],
    ['#a8323e', true],
    ['#a8a8a8', true],
    ['#b0b0b0', false],
    ['#c0c0c0', false],
    ['#ffdf6b', false],
    ['#ffffff', false],
  ])('%s on white is enough: %s', (dark, enough) => expect(hasEnoughContrast(on(dark))).toBe(enough));

  it('of a gradient is enough where its worst point is', () => {
    expect(hasEnoughContrast(on('#000000', '#ffffff', '#a8a8a8'))).toBe(true);
    expect(hasEnoughContrast(on('#000000', '#ffffff', '#b0b0b0'))).toBe(false);
  });

  it('of a gradient is that of its worst point, and none where it crosses what is behind it', () => {
    const plain = contrastOf(on('#b0b0b0'), 'colour').symbolContrast;
    expect(contrastOf(on('#000000', '#ffffff', '#b0b0b0'), 'colour').symbolContrast).toBeCloseTo(plain, 6);
    expect(contrastOf(on('#000000', '#808080', '#ffffff'), 'colour')).toMatchObject({
      symbolContrast: 0,
      modulation: 0,
      grade: 0,
    });
    expect(contrastOf(on('#000000', '#ffffff', '#b0b0b0'), 'colour').modulation).toBeLessThan(1);
  });

  it('falls as the dark gets lighter', () => {
    const contrasts = Array.from(
      { length: 16 },
      (_, step) => contrastOf(on(`#${(step * 17).toString(16).padStart(2, '0').repeat(3)}`), 'grey').symbolContrast,
    );
    expect([...contrasts].sort((a, b) => b - a)).toEqual(contrasts);
  });
});

describe('the nearest colours that pass', () => {
  it('are none where these do', () => expect(nearestEnough(on('#1d232e'))).toBeNull());

  it('always pass, and keep the hue where only lightness is missing', () => {
    fc.assert(
      fc.property(colour, colour, (dark, light) => {
        const passing = nearestEnough(on(dark, light));
        if (passing !== null)
          for (const print of prints)
            expect(contrastOf(passing, print).symbolContrast).toBeGreaterThanOrEqual(leastContrast);
      }),
      { numRuns: 60 },
    );
    const [orange = ''] = nearestEnough(on('#ffc400'))?.dark ?? [];
    expect(Math.abs(toOklch(rgbOf(orange)).hue - toOklch(rgbOf('#ffc400')).hue)).toBeLessThan(0.05);
  });

  it('change no more than is needed', () => {
    const [found = ''] = nearestEnough(on('#ffc400'))?.dark ?? [];
    const { lightness, ...rest } = toOklch(rgbOf(found));
    expect(hasEnoughContrast(on(hexOf(fromOklch({ ...rest, lightness: lightness + 0.02 }))))).toBe(false);
  });
});
