import { checkGrid } from './grid.js';
import { isSameLabelSheet, labelSheets } from './label-sheets.js';
import { pageSize, paperNames } from './paper.js';

describe('sheets of labels by their number', () => {
  it.each(paperNames)('are on %s as a whole, edge to edge', (paper) => {
    const page = pageSize(paper, false);
    for (const sheet of labelSheets(paper)) {
      expect(checkGrid({ page, ...sheet }).ok).toBe(true);
      expect(sheet.columns * sheet.widthMm).toBeGreaterThan(page.widthMm - 1);
      expect(sheet.rows * sheet.heightMm).toBeGreaterThan(page.heightMm - 2);
    }
    expect(labelSheets(paper).map(({ columns, rows }) => columns * rows)).toEqual([8, 12, 21, 24, 40, 65]);
  });

  it('differ if one figure differs', () => {
    const [first, second] = labelSheets('A4');
    if (!first || !second) throw new Error('there are several');
    expect(isSameLabelSheet(first, { ...first })).toBe(true);
    expect(isSameLabelSheet(first, { ...first, topMm: 0.5 })).toBe(false);
    expect(isSameLabelSheet(first, second)).toBe(false);
  });
});
