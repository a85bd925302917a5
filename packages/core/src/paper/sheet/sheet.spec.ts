import fc from 'fast-check';
import { fileName } from './file-name.js';
import { compose, layoutPage } from './compose.js';
import { plainSheetDesign, usualFields } from './design.js';
import { usualLabels } from './kinds.js';
import { paperNames } from './paper.js';
import { largestPosterCodeMm } from './poster.js';
import { fitText, type MeasureText } from '../../code/typeface/text.js';

/** Every character half an em wide. */
const measure: MeasureText = (text, _font, sizePt) => ([...text].length * 0.5 * sizePt * 25.4) / 72;

const bare = { left: 4, top: 4, right: 4, bottom: 4 };
/** As a ticket with two lines under the code has it. */
const framed = { left: 8, top: 8, right: 8, bottom: 22 };

describe('the largest code of a poster', () => {
  it('is what a poster really holds, whatever its texts are', () => {
    const long = 'Tide pool '.repeat(60);
    const texts = {
      title: long,
      number: '',
      instruction: long,
      password: '',
      address: `https://a.example/${'x'.repeat(200)}`,
      tap: long,
      class: long,
      place: '',
      what: '',
      meaning: '',
      'for-whom': '',
      where: '',
    };
    for (const paper of paperNames)
      for (const modules of [21, 33, 177])
        for (const surround of [bare, framed]) {
          const neededMm = largestPosterCodeMm(paper, modules, surround);
          const composed = compose(
            {
              kind: 'poster',
              paper,
              lying: false,
              perPage: 1,
              inColumns: false,
              labels: usualLabels,
              startAt: 0,
              copies: 1,
              fields: usualFields.poster,
              backs: null,
              design: plainSheetDesign('poster'),
              printerMarginMm: 5,
              head: { title: '', about: '' },
            },
            [{ texts, modules, surround, neededMm, pictureAspect: null }],
          );
          if (!composed.ok) throw new Error('a poster has room');
          expect(layoutPage(composed.value, 0, measure).codes[0]?.sizeMm).toBe(neededMm);
        }
  });
});

describe('fitting text', () => {
  const style = { font: 'text', sizePt: 20, floorPt: 10, widthMm: 100, maxLines: 2 } as const;

  it('wraps before it shrinks', () => {
    const fitted = fitText('one two three four five six', style, measure);
    expect(fitted).toMatchObject({ sizePt: 20, cut: false });
    expect(fitted.lines.join(' ')).toBe('one two three four five six');
  });

  it('shrinks a word that is too wide before it breaks it', () => {
    expect(fitText('x'.repeat(40), style, measure)).toMatchObject({ lines: ['x'.repeat(40)], cut: false });
  });

  it('breaks what is too wide even at the floor', () => {
    const fitted = fitText('x'.repeat(100), style, measure);
    expect(fitted.lines.join('')).toBe('x'.repeat(100));
    expect(fitted.lines.length).toBe(2);
  });

  it('cuts with an ellipsis when nothing else helps, and never exceeds the width', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 500 }), (text) => {
        const { lines, sizePt, cut } = fitText(text, style, measure);
        expect(lines.length).toBeLessThanOrEqual(2);
        for (const line of lines) expect(measure(line, 'text', sizePt)).toBeLessThanOrEqual(100 + 1e-9);
        if (cut) expect(lines.at(-1)?.endsWith('…')).toBe(true);
        else expect(lines.join('').replace(/\s/g, '')).toBe(text.replace(/\s/gu, ''));
      }),
    );
  });

  it('gives no lines for no text', () => expect(fitText('  ', style, measure).lines).toEqual([]));
});

describe('file names', () => {
  it.each([
    ['Photo bank, north cove', 3, 'png', '03 Photo bank, north cove.png'],
    ['a/b\\c:d*e?"<>|', null, 'svg', 'a b c d e.svg'],
    ['Who am I?, poster', 2, 'png', '02 Who am I, poster.png'],
    ['..', 12, 'pdf', '12 Code.pdf'],
    ['  ', null, 'pdf', 'Code.pdf'],
    ['Ra\u0308tsel', null, 'png', 'R\u00e4tsel.png'],
  ] as const)('%j at %j', (name, position, ending, expected) =>
    expect(fileName(name, position, ending)).toBe(expected),
  );

  it('are never longer than file systems take', () =>
    expect(fileName('x'.repeat(500), 1, 'png').length).toBeLessThan(100));
});
