import { plainSheetDesign } from './design.js';
import { layoutFace } from './face.js';
import { measure, bare } from '../../test/sample-sheets.js';

describe('a face', () => {
  it('writes where lines may break in scripts without blanks, and never inside a character', () => {
    const space = { xMm: 0, yMm: 0, widthMm: 66, heightMm: 36 };
    const layout = layoutFace(
      plainSheetDesign('small-card').front,
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
        plainSheetDesign('label').front,
        { ...space, widthMm: 30 },
        { texts: { title: family.repeat(30) }, code: null, neededMm: 0, pictures: {} },
        measure,
      ).texts[0]?.lines ?? [];
    expect(families.every((line) => line.replaceAll(family, '').replace('…', '') === '')).toBe(true);
  });
});
