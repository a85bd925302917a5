import { sheetFonts } from '@hapset/core';
import fc from 'fast-check';
import { faceFor, measureText, missingCharacters, shapeLine } from './shaped-line.js';
import { outlineText } from './outline-text.js';

/** What is where, from left to right. */
const seen = (text: string): readonly string[] => shapeLine(text, 'text').runs.map((run) => run.text);
const faces = (text: string, han?: 'sc' | 'jp'): readonly string[] => [
  ...new Set(shapeLine(text, 'text', han).runs.map((run) => run.face)),
];

describe('a line of text', () => {
  it.each([
    ['Field guide to limpets', ['text']],
    ['Łódź, Škoda, İzmir, ŵ', ['text']],
    ['Nguyễn Thị Ánh Tuyết', ['sans-regular']],
    ['Ελληνικά', ['sans-regular']],
    ['Кириллица', ['sans-regular']],
    ['مرحبا', ['arabic-regular']],
    ['שלום', ['hebrew-regular']],
    ['हिन्दी', ['devanagari-regular']],
    ['ไทย', ['thai-regular']],
    ['தமிழ்', ['tamil-regular']],
    ['বাংলা', ['bengali-regular']],
    ['Հայերեն', ['armenian-regular']],
    ['ქართული', ['georgian-regular']],
    ['አማርኛ', ['ethiopic-regular']],
    ['한국어', ['kr-regular']],
    ['🦀', ['emoji-regular']],
  ])('%s has a face', (text, expected) => {
    expect(faces(text)).toEqual(expected);
    expect(missingCharacters(text, 'text')).toEqual([]);
  });

  it('never changes the face inside a word', () => {
    // The sheet's own font has Greek letters that mathematics uses, and lacks the others.
    for (const word of ['Πυθαγόρας', 'Ngữ', 'π-day', 'Δx']) expect(faces(word)).toHaveLength(1);
  });

  it('gives Chinese characters the forms of the language around them', () => {
    expect(faces('潮汐')).toEqual(['sc-regular']);
    expect(faces('潮汐', 'jp')).toEqual(['jp-regular']);
    expect(faces('潮の満ち引き')).toEqual(['jp-regular']);
    expect(faces('潮水 조수')).toContain('kr-regular');
  });

  it('is as heavy as the sheet’s own font', () => {
    expect(shapeLine('שלום', 'heading').runs[0]?.face).toBe('hebrew-bold');
    expect(shapeLine('שלום', 'mono').runs[0]?.face).toBe('hebrew-regular');
  });

  it('runs from right to left as its script does, figures inside it from left to right', () => {
    expect(shapeLine('שלום 12', 'text').fromRight).toBe(true);
    expect(seen('שלום 12')).toEqual(['12', 'שלום ']);
    expect(shapeLine('Tide 12', 'text').fromRight).toBe(false);
    expect(seen('Tide שלום עולם end')).toEqual(['Tide ', 'שלום עולם', ' ', 'end']);
  });

  it('mirrors brackets inside what runs from right to left', () => {
    // Typed open bracket first; seen from the left, the closing one's mirror image comes first.
    expect(seen('שלום (עולם)').join('')).toBe('(עולם)שלום ');
  });

  it('lays its runs side by side, as wide together as the line', () => {
    const text = fc.string({
      unit: fc.constantFrom('a', 'B', ' ', '1', '(', ')', 'ש', 'ל', 'م', 'ر', '潮', 'の', 'ä', '🦀', 'क', '्', 'ष'),
      maxLength: 30,
    });
    fc.assert(
      fc.property(text, fc.constantFrom(...sheetFonts), (written, font) => {
        const { runs, widthEm } = shapeLine(written, font);
        let x = 0;
        for (const run of runs) {
          expect(run.xEm).toBeCloseTo(x, 9);
          expect(run.widthEm).toBeGreaterThanOrEqual(0);
          x += run.widthEm;
        }
        expect(x).toBeCloseTo(widthEm, 9);
        const sorted = (one: string): string => [...one.normalize('NFC').replace(/[()]/g, '|')].sort().join('');
        expect(sorted(runs.map((run) => run.text).join(''))).toBe(sorted(written));
      }),
      { numRuns: 200 },
    );
  });

  it('joins and stacks letters: fewer or other glyphs than characters', () => {
    // Isolated forms are wider than joined ones.
    expect(measureText('ببب', 'text', 20)).toBeLessThan(3 * measureText('ب', 'text', 20));
    expect(measureText('क्ष', 'text', 20)).toBeLessThan(measureText('क', 'text', 20) + measureText('ष', 'text', 20));
  });

  it('says what is typed where drawn letters would not be found again', () => {
    expect(shapeLine('हिन्दी', 'text').runs[0]?.actual).toBe('हिन्दी');
    expect(shapeLine('שלום', 'text').runs[0]?.actual).toBeNull();
    expect(shapeLine('Tide', 'text').runs[0]?.actual).toBeNull();
  });

  it('names what no face has, once each, and nothing that is never drawn', () => {
    expect(missingCharacters('Tide 潮 ä \u{10380}\u{10380}', 'heading')).toEqual(['\u{10380}']);
    expect(missingCharacters('👩‍🔬 ❤️ a\u200db', 'text')).toEqual([]);
    expect(faceFor('\u{10380}', 'text', 'sc')).toBeNull();
  });

  it('is the same as outlines: as far right as it is wide', () => {
    const path = outlineText('Tide שלום', 'text', { size: 10, x: 50, baseline: 20 });
    const xs = [...path.matchAll(/[ML](-?[\d.]+)/g)].map((match) => Number(match[1]));
    const { widthEm } = shapeLine('Tide שלום', 'text');
    expect(Math.min(...xs)).toBeGreaterThan(50 - widthEm * 5 - 1);
    expect(Math.max(...xs)).toBeLessThan(50 + widthEm * 5 + 1);
    expect(Math.max(...xs) - Math.min(...xs)).toBeGreaterThan(widthEm * 9);
  });
});
