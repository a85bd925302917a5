import fc from 'fast-check';
import type { Surround } from '../look/frame.js';
import { fileName } from './file-name.js';
import { paperFormats, type PaperFormat } from './paper.js';
import { largestPosterCodeMm, layoutPoster, type PosterLayout, type PosterWish } from './poster.js';
import { fitText, type MeasureText } from './text.js';

/** Every character half an em wide. */
const measure: MeasureText = (text, _font, sizePt) => ([...text].length * 0.5 * sizePt * 25.4) / 72;

const bare = { left: 4, top: 4, right: 4, bottom: 4 };
/** As a ticket with two lines under the code has it. */
const framed = { left: 8, top: 8, right: 8, bottom: 22 };

const wish: PosterWish = { paper: 'A4', title: 'Field guide to limpets', instruction: 'Point your camera here.', tap: 'Then tap the address that appears.', address: 'https://a.example/leaf/field-guide', foot: 'Life between the tides', modules: 33, surround: bare, codeSizeMm: 120 };

interface Box {
  readonly x: number;
  readonly y: number;
  readonly right: number;
  readonly bottom: number;
}

/** All boxes of a layout; the code's with what is around it. */
function boxes({ code, texts }: PosterLayout, modules: number, { left, top, right, bottom }: Surround): readonly Box[] {
  const moduleMm = code.sizeMm / modules;
  return [
    { x: code.xMm - left * moduleMm, y: code.yMm - top * moduleMm, right: code.xMm + code.sizeMm + right * moduleMm, bottom: code.yMm + code.sizeMm + bottom * moduleMm },
    ...texts.map((text) => ({ x: text.xMm, y: text.yMm, right: text.xMm + text.widthMm, bottom: text.yMm + text.heightMm })),
  ];
}

function overlap(a: Box, b: Box): boolean {
  return a.x < b.right - 1e-6 && b.x < a.right - 1e-6 && a.y < b.bottom - 1e-6 && b.y < a.bottom - 1e-6;
}

describe('a poster', () => {
  it('has the wanted size, centred', () => {
    const { code, widthMm } = layoutPoster(wish, measure);
    expect(code.sizeMm).toBe(120);
    expect(code.xMm + code.sizeMm / 2).toBeCloseTo(widthMm / 2, 6);
  });

  it('never makes the code larger than the paper holds with its quiet zone', () => {
    for (const paper of Object.keys(paperFormats) as PaperFormat[]) {
      const largest = largestPosterCodeMm(paper, 21, bare);
      expect(layoutPoster({ ...wish, paper, modules: 21, codeSizeMm: 500 }, measure).code.sizeMm).toBe(largest);
      expect(largest * (1 + 8 / 21)).toBeLessThanOrEqual(paperFormats[paper].widthMm);
    }
  });

  it('keeps boxes apart and on the page, whatever is written', () => {
    const text = fc.string({ unit: 'grapheme', maxLength: 400 });
    fc.assert(
      fc.property(text, text, text, fc.option(text, { nil: null }), text, fc.constantFrom<PaperFormat>('A4', 'Letter'), fc.constantFrom(21, 25, 33, 45, 177), fc.integer({ min: 30, max: 300 }), fc.constantFrom(bare, framed), (title, instruction, tap, address, foot, paper, modules, codeSizeMm, surround) => {
        const layout = layoutPoster({ title, instruction, tap, address, foot, paper, modules, surround, codeSizeMm }, measure);
        const all = boxes(layout, modules, surround);
        for (const box of all) {
          expect(box.x).toBeGreaterThanOrEqual(0);
          expect(box.y).toBeGreaterThanOrEqual(0);
          expect(box.right).toBeLessThanOrEqual(layout.widthMm);
          expect(box.bottom).toBeLessThanOrEqual(layout.heightMm);
        }
        all.forEach((box, index) => all.slice(index + 1).forEach((other) => expect(overlap(box, other)).toBe(false)));
        expect(layout.code.sizeMm).toBe(Math.min(codeSizeMm, largestPosterCodeMm(paper, modules, surround)));
      }),
      { numRuns: 200 },
    );
  });

  it('says which text was cut', () => {
    expect(layoutPoster(wish, measure).cut).toEqual([]);
    expect(layoutPoster({ ...wish, title: 'Tide '.repeat(80) }, measure).cut).toEqual(['title']);
  });

  it('leaves out the address of words', () => {
    expect(layoutPoster({ ...wish, address: null }, measure).texts.map((text) => text.role)).toEqual(['title', 'instruction', 'tap', 'foot']);
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
    ['..', 12, 'pdf', '12 Code.pdf'],
    ['  ', null, 'pdf', 'Code.pdf'],
    ['Ra\u0308tsel', null, 'png', 'R\u00e4tsel.png'],
  ] as const)('%j at %j', (name, position, ending, expected) => expect(fileName(name, position, ending)).toBe(expected));

  it('are never longer than file systems take', () => expect(fileName('x'.repeat(500), 1, 'png').length).toBeLessThan(100));
});
