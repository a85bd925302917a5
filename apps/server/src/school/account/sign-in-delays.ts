/**
 * How long a sign-in has to wait after failures. Nobody is locked out: each failure makes the next try wait longer, for
 * that account from that address; a stranger who fails on purpose slows down himself. Pure computation.
 */
export interface DelayRule {
  /** Failures that cost nothing. */
  readonly free: number;
  readonly longestS: number;
}

/** One account from one address: typing errors are free, guessing soon takes a quarter of an hour a try. */
export const pairRule: DelayRule = { free: 5, longestS: 900 };
/** All accounts from one address: a staff room shares one. */
export const addressRule: DelayRule = { free: 60, longestS: 10 };
/** The address is a proxy's that nobody declared, so it is everybody's. */
export const sharedAddressRule: DelayRule = { free: 600, longestS: 10 };
/** One account from all addresses where nobody is signed in to it: guessing from many places at once. */
export const accountRule: DelayRule = { free: 100, longestS: 60 };

/** Without a failure for so long, they are forgotten. */
export const forgottenAfterMs = 30 * 60 * 1000;

export interface Failures {
  readonly count: number;
  readonly lastAtMs: number;
}

/** Milliseconds to wait from the last failure on until the next try is looked at. */
export function delayMs(count: number, { free, longestS }: DelayRule): number {
  if (count < free) return 0;
  return Math.min(2 ** Math.min(count - free, 20), longestS) * 1000;
}

/** Seconds to wait, 0 where the try may be made. */
export function waitS(failures: Failures | null, rule: DelayRule, nowMs: number): number {
  if (failures === null || nowMs - failures.lastAtMs >= forgottenAfterMs) return 0;
  const delay = delayMs(failures.count, rule);
  // Clocks of two servers differ a little: nobody waits longer than the delay itself.
  return Math.min(delay / 1000, Math.max(0, Math.ceil((failures.lastAtMs + delay - nowMs) / 1000)));
}
