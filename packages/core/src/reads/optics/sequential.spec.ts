import { uniformSource } from './random.js';
import { errorRate, verdictOf, type TrialVerdict } from './sequential.js';

/** Trials that read with that probability, until it is decided. */
function decide(share: number, uniform: () => number): { readonly verdict: TrialVerdict; readonly trials: number } {
  for (let trials = 1, read = 0; ; trials += 1) {
    if (uniform() < share) read += 1;
    const verdict = verdictOf(read, trials);
    if (verdict) return { verdict, trials };
  }
}

describe('the sequential test', () => {
  const many = (share: number): readonly ReturnType<typeof decide>[] => {
    const uniform = uniformSource(Math.round(share * 1000));
    return Array.from({ length: 2000 }, () => decide(share, uniform));
  };

  it.each([
    [0.98, 'fails'],
    [0.85, 'reads'],
  ] as const)('is wrong about a share of %d no more often than stated', (share, wrong) => {
    // Wald's bounds hold for the mean of both errors; a little room for chance.
    expect(many(share).filter(({ verdict }) => verdict === wrong).length / 2000).toBeLessThan(errorRate * 1.35);
  });

  it('needs few trials where it is clear, and always ends', () => {
    const mean = (share: number): number => many(share).reduce((sum, { trials }) => sum + trials, 0) / 2000;
    expect(mean(0)).toBeLessThan(3);
    expect(mean(1)).toBeLessThan(25);
    expect(Math.max(...many(0.93).map(({ trials }) => trials))).toBeLessThanOrEqual(60);
  });

  it('is not sure before anything was tried', () => {
    expect(verdictOf(0, 0)).toBeNull();
    expect(verdictOf(20, 20)).toBeNull();
    expect(verdictOf(21, 21)).toBe('reads');
    expect(verdictOf(0, 2)).toBe('fails');
  });
});
