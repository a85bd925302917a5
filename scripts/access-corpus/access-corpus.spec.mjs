import { judgeShapes, lettingIn, locking, readShapes } from './access-corpus.mjs';

const all = ['in-view', 'held-out', 'second-look'].flatMap(readShapes);

describe('the access check on page shapes', () => {
  let results;
  beforeAll(async () => {
    results = await judgeShapes(all);
  });

  it('has at least 150 of them, a third of the first two written before the rules, and each has a name of its own', () => {
    expect(all.length).toBeGreaterThanOrEqual(150);
    expect(readShapes('held-out').length * 2).toBeGreaterThanOrEqual(readShapes('in-view').length);
    expect(new Set(all.map(({ name }) => name)).size).toBe(all.length);
  });

  it.each(all.map(({ name, expect: expected }, index) => [name, expected, index]))('%s: %s', (_, expected, index) => {
    expect([results[index].name, results[index].verdict]).toEqual([all[index].name, expected]);
    expect(results[index].reasons.length).toBeGreaterThan(0);
  });

  it('calls no locked page open, and cries wolf for at most one open page in fifty', () => {
    expect(
      results.filter(({ expect: expected, verdict }) => locking.includes(expected) && lettingIn.includes(verdict)),
    ).toEqual([]);
    const open = results.filter(({ expect: expected }) => lettingIn.includes(expected));
    expect(open.filter(({ verdict }) => locking.includes(verdict)).length / open.length).toBeLessThanOrEqual(0.02);
  });
});
