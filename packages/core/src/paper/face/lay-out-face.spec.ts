import fc from 'fast-check';
import { lineHeightMm } from '../../code/typeface/text.js';
import { frontOf, layoutsOf } from './face-design-of.js';
import type { FaceContent, FaceLayout } from './face-content.js';
import { layoutFace } from './lay-out-face.js';
import { typeSizePt } from './reading-size.js';
import { measure, bare } from '../../test/sample-sheets.js';

describe('a face', () => {
  it('writes where lines may break in scripts without blanks, and never inside a character', () => {
    const space = { xMm: 0, yMm: 0, widthMm: 66, heightMm: 36 };
    const layout = layoutFace(
      frontOf('small-card', 'code-first'),
      space,
      {
        texts: { title: '潮の満ち引き。砂浜と岩場の生き物' },
        code: { modules: 33, surround: bare },
        neededMm: 15,
        pictures: {},
      },
      measure,
    );
    const lines = layout.texts[0]?.lines ?? [];
    expect(lines.length).toBeGreaterThan(1);
    // A line never begins with a full stop (UAX 14, class CL).
    expect(lines.some((line) => line.startsWith('。'))).toBe(false);
    const family = '\u{1F468}\u200D\u{1F469}\u200D\u{1F467}';
    const families =
      layoutFace(
        frontOf('label', 'code-first'),
        { ...space, widthMm: 30 },
        { texts: { title: family.repeat(30) }, code: null, neededMm: 0, pictures: {} },
        measure,
      ).texts[0]?.lines ?? [];
    expect(families.every((line) => line.replaceAll(family, '').replace('…', '') === '')).toBe(true);
  });
});

const paper = { xMm: 0, yMm: 0, widthMm: 210, heightMm: 297 };
const words = fc.array(fc.constantFrom('tide', 'limpet', 'a', 'between', 'Napfschnecke'), {
  minLength: 1,
  maxLength: 40,
});
interface PosterTexts {
  readonly title: readonly string[];
  readonly instruction: readonly string[];
  readonly modules: number;
  readonly neededMm: number;
}
const anyContent: fc.Arbitrary<PosterTexts> = fc.record({
  title: words,
  instruction: words,
  modules: fc.constantFrom(21, 33, 57),
  neededMm: fc.integer({ min: 30, max: 150 }),
});
const contentOf = ({ title, instruction, modules, neededMm }: PosterTexts, distanceM: number): FaceContent => ({
  texts: {
    title: title.join(' '),
    instruction: instruction.join(' '),
    number: '3',
    tap: 'Then tap it.',
    address: 'a.example/leaf',
  },
  code: { modules, surround: bare },
  neededMm,
  pictures: {},
  distanceM,
});
const bigNumber = (content: FaceContent, heightMm = 297): FaceLayout =>
  layoutFace(frontOf('poster', 'big-number'), { ...paper, heightMm }, content, measure);
const textAt = ({ texts }: FaceLayout, field: string) => texts.find((text) => text.field === field);

describe('a poster for a distance', () => {
  it('never has smaller type for a larger distance, its code being the same', () => {
    fc.assert(
      fc.property(
        anyContent,
        fc.constantFrom(...layoutsOf('poster')),
        fc.double({ min: 0.5, max: 8, noNaN: true }),
        (content, layout, nearM) => {
          const at = (distanceM: number): FaceLayout =>
            layoutFace(frontOf('poster', layout), paper, contentOf(content, distanceM), measure);
          const far = at(nearM * 1.7);
          return at(nearM).texts.every(({ field, sizePt }) => (textAt(far, field)?.sizePt ?? 0) >= sizePt);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('cuts no words beside free space: where one is cut, a face that is a line lower shows less', () => {
    const long = {
      title: Array<string>(60).fill('limpets'),
      instruction: Array<string>(150).fill('between'),
      modules: 33,
    };
    const linesOf = ({ texts }: FaceLayout): number => texts.reduce((sum, { lines }) => sum + lines.length, 0);
    let cuts = 0;
    for (let neededMm = 60; neededMm <= 130; neededMm += 5) {
      const content = contentOf({ ...long, neededMm }, 2);
      const layout = bigNumber(content);
      if (layout.cut.length === 0) continue;
      cuts += 1;
      expect(layout.code?.sizeMm).toBe(neededMm);
      const largestPt = Math.max(...layout.cut.map((field) => textAt(layout, field)?.sizePt ?? 0));
      expect(linesOf(bigNumber(content, 297 - lineHeightMm(largestPt)))).toBeLessThan(linesOf(layout));
    }
    expect(cuts).toBeGreaterThan(5);
  });

  it('has larger letters for a task that is read from afar, where there is room', () => {
    const short = { title: ['Tides'], instruction: ['Sketch', 'one', 'limpet.'], modules: 21, neededMm: 60 };
    const sizeAt = (distanceM: number): number =>
      textAt(bigNumber(contentOf(short, distanceM)), 'instruction')?.sizePt ?? 0;
    expect(sizeAt(1)).toBe(30);
    expect(sizeAt(3)).toBeGreaterThanOrEqual(Math.floor(typeSizePt(3, 'legible')));
  });

  it('has letters as large as there is room for beside a code that can’t be as large as it must be', () => {
    const row = { xMm: 0, yMm: 0, widthMm: 180, heightMm: 32 };
    const content = {
      ...contentOf({ title: ['Tides'], instruction: ['Look.'], modules: 57, neededMm: 80 }, 0.3),
      pictures: {},
    };
    const layout = layoutFace(frontOf('handout', 'title-first'), row, content, measure);
    expect(layout.code?.sizeMm).toBeLessThan(30);
    expect(textAt(layout, 'title')?.sizePt).toBeGreaterThan(15);
  });

  it('is mirrored for texts from right to left: number, title and sign begin at the right', () => {
    const content = contentOf({ title: ['x'], instruction: ['y'], modules: 33, neededMm: 60 }, 2);
    const [left, right] = [bigNumber({ ...content, direction: 'ltr' }), bigNumber({ ...content, direction: 'rtl' })];
    const number = textAt(left, 'number');
    expect(textAt(right, 'number')?.xMm).toBeCloseTo(210 - (number?.xMm ?? 0) - (number?.widthMm ?? 0), 6);
    expect([textAt(left, 'title')?.align, textAt(right, 'title')?.align]).toEqual(['left', 'right']);
    expect(right.tapSigns[0]?.xMm).toBeGreaterThan(150);
  });
});
