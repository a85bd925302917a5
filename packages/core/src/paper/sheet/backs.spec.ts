import { layoutPage } from './compose.js';
import { backOf } from './grid.js';
import { pageSize } from './paper.js';
import { measure, limpets, setupOf, composed } from '../../test/sample-sheets.js';

describe('backs', () => {
  it.each(['long', 'short'] as const)('lie behind their fronts, turned about the %s edge', (edge) => {
    const items = Array.from({ length: 13 }, (_, index) => ({
      ...limpets,
      texts: { ...limpets.texts, what: `Back ${index}` },
    }));
    const composition = composed(
      setupOf('small-card', { backs: { edge, adjustment: { rightMm: 0, downMm: 0 } } }),
      items,
    );
    for (const front of [0, 1]) {
      const [face, back] = [
        layoutPage(composition, 2 * front, measure),
        layoutPage(composition, 2 * front + 1, measure),
      ];
      expect([face.side, back.side]).toEqual(['front', 'back']);
      for (const { item, xMm, yMm, widthMm, heightMm, turned } of back.texts.filter(({ field }) => field === 'what')) {
        expect(turned).toBe(edge === 'short');
        const seen = backOf(pageSize('A4', false), { xMm, yMm, widthMm, heightMm }, edge).box;
        const others = face.codes
          .map((code) => ({ item: code.item, away: Math.hypot(code.xMm - seen.xMm, code.yMm - seen.yMm) }))
          .sort((one, other) => one.away - other.away);
        expect(others[0]?.item).toBe(item);
      }
    }
  });

  it('follow the printer’s adjustment', () => {
    const at = (rightMm: number) =>
      layoutPage(
        composed(setupOf('small-card', { backs: { edge: 'long', adjustment: { rightMm, downMm: 0 } } }), [limpets]),
        1,
        measure,
      ).texts[0]?.xMm ?? 0;
    expect(at(1.5) - at(0)).toBeCloseTo(1.5, 9);
  });
});
