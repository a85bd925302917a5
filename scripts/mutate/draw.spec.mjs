import { draw, isAccepted, lot, score } from './draw.mjs';

const mutant = (line, replacement = 'false') => ({
  fileName: 'packages/core/src/code/symbol.ts',
  location: { start: { line, column: 4 }, end: { line, column: 9 } },
  mutatorName: 'BooleanLiteral',
  replacement,
});

describe('mutants are drawn', () => {
  const all = Array.from({ length: 400 }, (_, line) => mutant(line));

  it('the same for the same seed, whatever order they come in, and others for another', () => {
    const drawn = draw(all, 1, 100);
    expect(drawn).toHaveLength(100);
    expect(draw([...all].reverse(), 1, 100)).toEqual(drawn);
    expect(draw(all, 2, 100)).not.toEqual(drawn);
    expect(draw(all.slice(0, 3), 1, 100)).toHaveLength(3);
  });

  it('by everything that tells one from another', () => {
    const lots = [mutant(1), mutant(2), mutant(1, 'true')].map((one) => lot(1, one));
    expect(new Set(lots).size).toBe(3);
  });

  it('and those that do not matter are known by the words they change', () => {
    const accepted = [{ file: 'a.ts', was: 'x < 1', becomes: 'x <= 1', why: 'x is never 1' }];
    expect(isAccepted(accepted, { file: 'a.ts', was: 'x < 1', replacement: 'x <= 1' })).toBe(true);
    expect(isAccepted(accepted, { file: 'a.ts', was: 'x < 1', replacement: 'x >= 1' })).toBe(false);
    expect(score([{ status: 'noticed' }, { status: 'missed' }, { status: 'accepted' }])).toBe(0.5);
    expect(score([])).toBe(0);
  });
});
