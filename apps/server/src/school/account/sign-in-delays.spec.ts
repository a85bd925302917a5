import fc from 'fast-check';
import { delayMs, forgottenAfterMs, pairRule, waitS } from './sign-in-delays.js';

describe('the wait after failed sign-ins', () => {
  it('is zero for typing errors, then doubles up to a quarter of an hour', () => {
    expect([0, 4, 5, 6, 8, 14, 15, 40].map((count) => delayMs(count, pairRule) / 1000)).toEqual([
      0, 0, 1, 2, 8, 512, 900, 900,
    ]);
  });

  it('never gets shorter with another failure', () => {
    fc.assert(fc.property(fc.nat(200), (count) => delayMs(count + 1, pairRule) >= delayMs(count, pairRule)));
  });

  it('counts from the last failure on, and is forgotten after half an hour', () => {
    const failures = { count: 8, lastAtMs: 100_000 };
    expect(waitS(failures, pairRule, 100_000)).toBe(8);
    expect(waitS(failures, pairRule, 107_001)).toBe(1);
    expect(waitS(failures, pairRule, 108_000)).toBe(0);
    expect(waitS({ count: 1000, lastAtMs: 0 }, pairRule, forgottenAfterMs)).toBe(0);
    expect(waitS(null, pairRule, 0)).toBe(0);
  });
});
