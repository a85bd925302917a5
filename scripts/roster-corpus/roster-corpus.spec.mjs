import { judgeTable } from '../bench/rosters.mjs';
import { readTables } from './roster-corpus.mjs';

const [inView, heldOut] = ['in-view', 'held-out'].map(readTables);

describe('rosters as schools have them', () => {
  it('are at least 150, a third of them held out, and each has a name of its own', () => {
    const all = [...inView, ...heldOut];
    expect(all.length).toBeGreaterThanOrEqual(150);
    expect(heldOut.length * 3).toBeGreaterThanOrEqual(all.length);
    expect(new Set(all.map(({ name }) => name)).size).toBe(all.length);
  });

  it.each(inView.map((table) => [table.name, table]))('%s is understood at once', (_, table) => {
    const { right, wrong, wrongLetters } = judgeTable(table);
    expect([right ? '' : wrong, wrongLetters]).toEqual(['', 0]);
  });

  it('of those that are held out, nearly all are, and no name has a wrong letter', () => {
    const results = heldOut.map(judgeTable);
    const sum = (of) => results.reduce((total, result) => total + of(result), 0);
    expect(sum(({ right }) => (right ? 1 : 0)) / results.length).toBeGreaterThanOrEqual(0.95);
    expect(sum(({ columnsRight }) => columnsRight) / sum(({ columns }) => columns)).toBeGreaterThanOrEqual(0.97);
    expect(sum(({ wrongLetters }) => wrongLetters)).toBe(0);
  });
});
