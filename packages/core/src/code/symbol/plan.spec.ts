import fc from 'fast-check';
import jsQR from 'jsqr';
import { codePixels } from '../look/pixels.js';
import { grainOf } from './grain.js';
import { smallestVersion } from './fit.js';
import { charactersToShrink, growthLimit, planSymbol, type SymbolPlan } from './plan.js';

function plan(payload: string): SymbolPlan {
  const planned = planSymbol(payload);
  if (!planned.ok) throw new Error(planned.problem.reason);
  return planned.value;
}

/** Read by an engine that the application does not ship. */
function readBack(symbol: SymbolPlan): string | undefined {
  const { widthPx, grey } = codePixels(symbol, 4);
  const rgba = new Uint8ClampedArray(grey.length * 4);
  grey.forEach((level, index) => rgba.set([level, level, level, 255], index * 4));
  return jsQR(rgba, widthPx, widthPx)?.data;
}

describe('planning a symbol', () => {
  it('takes the smallest version at M and raises the level within it', () => {
    expect(plan('HTTPS://K.FERNHOLLOW.EXAMPLE/9VDRT')).toMatchObject({ version: 2, modules: 25 });
    expect(plan('7')).toMatchObject({ version: 1, modules: 21, level: 'H' });
    expect(plan('a'.repeat(14))).toMatchObject({ version: 1, level: 'M', charactersUntilGrowth: 0 });
    expect(plan('a'.repeat(11))).toMatchObject({ version: 1, level: 'Q', charactersUntilGrowth: 3 });
  });

  it('counts characters until the code grows, and the next one grows it', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^https:\/\/a\.example\/[a-z]{0,60}$/), (payload) => {
        const { version, charactersUntilGrowth } = plan(payload);
        expect(plan(payload + 'a'.repeat(charactersUntilGrowth)).version).toBe(version);
        if (charactersUntilGrowth < growthLimit)
          expect(plan(payload + 'a'.repeat(charactersUntilGrowth + 1)).version).toBe(version + 1);
      }),
      { numRuns: 25 },
    );
  });

  it('counts characters to remove for the next smaller version, and one fewer changes nothing', () => {
    expect(charactersToShrink(plan('7'))).toBeNull();
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', minLength: 30, maxLength: 160 }), (payload) => {
        const symbol = plan(payload);
        const fewer = charactersToShrink(symbol);
        const characters = [...payload];
        const without = (count: number): number =>
          smallestVersion(characters.slice(0, characters.length - count).join(''), 'M') ?? 0;
        if (fewer === null) return expect(symbol.version).toBe(1);
        expect(without(fewer)).toBeLessThan(symbol.version);
        expect(without(fewer - 1)).toBe(symbol.version);
      }),
      { numRuns: 40 },
    );
  });

  it('never gets smaller when characters are added', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80, minLength: 1 }), (text) =>
        expect(smallestVersion(`${text}a`, 'M')).toBeGreaterThanOrEqual(smallestVersion(text, 'M') ?? 0),
      ),
      { numRuns: 60 },
    );
  });

  it('says what no symbol can hold', () => {
    expect(planSymbol('')).toEqual({ ok: false, problem: { reason: 'empty-payload' } });
    expect(planSymbol('x'.repeat(2332))).toEqual({
      ok: false,
      problem: { reason: 'payload-too-long', characters: 2332 },
    });
    expect(plan('x'.repeat(2331)).version).toBe(40);
    expect(() => planSymbol(null as unknown as string)).toThrow(TypeError);
  });

  it('is read back letter by letter', () => {
    for (const payload of [
      'http://cofferlane.localhost:4310/leaf/field-guide-to-limpets',
      '0123456789',
      'HELLO WORLD',
      'Wer bin ich?\nRätsel 7',
      'x'.repeat(180),
    ])
      expect(readBack(plan(payload))).toBe(payload);
  });

  it('always carries its finder patterns', () => {
    const { matrix, modules } = plan('https://a.example/');
    const row = (y: number, x: number): string =>
      Array.from(matrix.subarray(y * modules + x, y * modules + x + 7)).join('');
    for (const [y, x] of [
      [0, 0],
      [0, modules - 7],
      [modules - 7, 0],
    ] as const)
      expect([row(y, x), row(y + 1, x), row(y + 3, x)]).toEqual(['1111111', '1000001', '1011101']);
  });
});

describe('grain', () => {
  it.each([
    [1, 'coarse'],
    [2, 'coarse'],
    [3, 'medium'],
    [4, 'medium'],
    [5, 'fine'],
    [6, 'fine'],
    [7, 'very-fine'],
    [40, 'very-fine'],
  ] as const)('version %i is %s', (version, grain) => expect(grainOf(version)).toBe(grain));
  it.each([0, 41, 2.5])('version %d does not exist', (version) => expect(() => grainOf(version)).toThrow(RangeError));
});
