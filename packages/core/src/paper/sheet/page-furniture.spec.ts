import { composed, manyOf, measure, setupOf } from '../../test/sample-sheets.js';
import { layoutPage } from './compose.js';
import type { SheetKind } from './design.js';
import { linesOf } from './page-furniture.js';

const linesAt = (kind: SheetKind, more: object = {}) =>
  new Set(linesOf(composed(setupOf(kind, more), manyOf(4)), 0).map((line) => line.kind));
const fieldsAt = (items: number, page: number) => {
  const composition = composed(setupOf('handout', { perPage: 4 }), manyOf(items));
  return layoutPage(composition, page, measure)
    .texts.filter(({ item }) => item === null)
    .map(({ field, lines }) => `${field}: ${lines.join(' ')}`);
};

describe('what a page has besides its faces', () => {
  it('is cuts and marks where it is cut, a fold where it is folded, rules in a handout, nothing on labels', () => {
    expect(linesAt('small-card')).toEqual(new Set(['cut', 'mark']));
    expect(linesAt('student-card')).toEqual(new Set(['cut', 'mark']));
    expect(linesAt('table-card')).toEqual(new Set(['cut', 'mark', 'fold']));
    expect(linesAt('handout')).toEqual(new Set(['rule']));
    expect(linesAt('handout', { inColumns: true })).toEqual(new Set());
    expect(linesAt('poster')).toEqual(new Set());
    expect(linesAt('label')).toEqual(new Set());
  });

  it('is a number only where there are more pages than one', () => {
    expect(fieldsAt(3, 0).some((text) => text.startsWith('page-number'))).toBe(false);
    expect(fieldsAt(9, 0)).toContain('page-number: 1 / 3');
    expect(fieldsAt(9, 2)).toContain('page-number: 3 / 3');
  });
});
