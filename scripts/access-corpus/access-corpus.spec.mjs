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

  it.each(all.map(({ name, expect: expected, unproven }, index) => [name, unproven ? 'unknown' : expected, index]))(
    '%s: %s',
    (_, expected, index) => {
      expect([results[index].name, results[index].verdict]).toEqual([all[index].name, expected]);
      expect(results[index].reasons.length).toBeGreaterThan(0);
    },
  );

  it('calls no locked page open, and cries wolf for at most one open page in fifty', () => {
    expect(
      results.filter(({ expect: expected, verdict }) => locking.includes(expected) && lettingIn.includes(verdict)),
    ).toEqual([]);
    const open = results.filter(({ expect: expected }) => lettingIn.includes(expected));
    expect(open.filter(({ verdict }) => locking.includes(verdict)).length / open.length).toBeLessThanOrEqual(0.02);
  });
});

describe('the access check on pages that its rules were not made with', () => {
  const shapes = readShapes('unseen');
  let results;
  beforeAll(async () => {
    results = await judgeShapes(shapes);
  });
  const of = (wanted) => results.filter(({ expect: expected }) => wanted(expected));

  it('are at least 120, in eight languages, three of them without lists of words', () => {
    expect(shapes.length).toBeGreaterThanOrEqual(120);
    expect(new Set(shapes.map(({ name }) => name.slice(-2))).size).toBe(8);
  });

  it('calls none of the locked ones open', () => {
    expect(of((expected) => locking.includes(expected)).length).toBeGreaterThan(90);
    expect(of((expected) => locking.includes(expected)).filter(({ verdict }) => lettingIn.includes(verdict))).toEqual(
      [],
    );
  });

  it('lets in to all that have something of their own: a text, a form, something to play', () => {
    const open = of((expected) => expected === 'open');
    expect(open.length).toBeGreaterThan(30);
    expect(open.filter(({ verdict }) => verdict !== 'open')).toEqual([]);
  });

  it('takes no layer about cookies for a lock', () => {
    expect(of((expected) => expected === 'obstructed').filter(({ verdict }) => locking.includes(verdict))).toEqual([]);
  });
});
