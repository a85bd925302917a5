import fc from 'fast-check';
import { charactersOf, fitText, type MeasureText, type TextOptions } from './text.js';

/** Every character is half a millimetre wide for each point. */
const measure: MeasureText = (text, _, sizePt) => [...text].length * sizePt * 0.5;
const options = (more: Partial<TextOptions>): TextOptions => ({
  font: 'text',
  sizePt: 20,
  floorPt: 10,
  widthMm: 100,
  maxLines: 2,
  ...more,
});

describe('a text in a width', () => {
  it('stays as large as it may be where it fits', () => {
    expect(fitText('Low tide', options({}), measure)).toEqual({ lines: ['Low tide'], sizePt: 20, cut: false });
    expect(fitText('', options({}), measure)).toEqual({ lines: [], sizePt: 20, cut: false });
    expect(fitText('  \n ', options({}), measure).lines).toEqual([]);
  });

  it('wraps before it shrinks', () => {
    expect(fitText('Low tide at nine', options({}), measure)).toEqual({
      lines: ['Low tide', 'at nine'],
      sizePt: 20,
      cut: false,
    });
  });

  it('shrinks by single points until as many lines as allowed hold it, and no further', () => {
    // Ten characters a line at 20 pt, eleven at 18: "at nine in the" needs 14 at 14 pt.
    const fitted = fitText('Low tide at nine in the bay', options({}), measure);
    expect(fitted).toEqual({ lines: ['Low tide at', 'nine in the bay'], sizePt: 13, cut: false });
    expect(fitText('Low tide at nine in the bay', options({ maxLines: 3 }), measure).sizePt).toBe(20);
  });

  it('shrinks for a single word that is too long, and breaks it only at the floor', () => {
    expect(fitText('Seaweed identification', options({ maxLines: 3 }), measure)).toEqual({
      lines: ['Seaweed', 'identification'],
      sizePt: 14,
      cut: false,
    });
    const broken = fitText(`Seaweed ${'x'.repeat(25)}`, options({ maxLines: 3 }), measure);
    expect(broken).toEqual({ lines: ['Seaweed', 'x'.repeat(20), 'x'.repeat(5)], sizePt: 10, cut: false });
  });

  it('uses the last line that is allowed before it cuts, and says that it cut', () => {
    expect(fitText(`${'x'.repeat(20)} ${'y'.repeat(20)}`, options({}), measure)).toEqual({
      lines: ['x'.repeat(20), 'y'.repeat(20)],
      sizePt: 10,
      cut: false,
    });
    expect(fitText(`${'x'.repeat(20)} ${'y'.repeat(20)} z`, options({}), measure)).toEqual({
      lines: ['x'.repeat(20), `${'y'.repeat(19)}…`],
      sizePt: 10,
      cut: true,
    });
  });

  it('never shrinks where it begins at the floor', () => {
    expect(fitText('Low tide at nine', options({ sizePt: 10 }), measure)).toMatchObject({ sizePt: 10, cut: false });
  });

  it('takes what a reader takes for one character as one', () => {
    expect(charactersOf('ab')).toEqual(['a', 'b']);
    expect(charactersOf('e\u0301🏴󠁧󠁢󠁳󠁣󠁴󠁿👩‍🔬')).toEqual(['e\u0301', '🏴󠁧󠁢󠁳󠁣󠁴󠁿', '👩‍🔬']);
    const flags = fitText('🇮🇪'.repeat(12), options({ maxLines: 9, sizePt: 10 }), measure);
    expect(flags.lines.join('')).toBe('🇮🇪'.repeat(12));
    expect(flags.lines.every((line) => charactersOf(line).every((flag) => flag === '🇮🇪'))).toBe(true);
  });

  it('keeps within width and lines, loses no word unless it says so, and is never smaller in more room', () => {
    const words = fc.array(fc.stringMatching(/^[a-zé]{1,14}$/), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(
        words,
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 60, max: 200 }),
        (all, maxLines, widthMm) => {
          const text = all.join(' ');
          const left = options({ maxLines, widthMm });
          const { lines, sizePt, cut } = fitText(text, left, measure);
          expect(lines.length).toBeLessThanOrEqual(maxLines);
          for (const line of lines) expect(measure(line, 'text', sizePt)).toBeLessThanOrEqual(widthMm);
          if (!cut) expect(lines.join('').replaceAll(' ', '')).toBe(all.join(''));
          expect(fitText(text, { ...left, maxLines: maxLines + 1 }, measure).sizePt).toBeGreaterThanOrEqual(sizePt);
          expect(fitText(text, { ...left, widthMm: widthMm + 10 }, measure).sizePt).toBeGreaterThanOrEqual(sizePt);
        },
      ),
    );
  });
});
