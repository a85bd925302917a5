/**
 * Wald's sequential probability ratio test: trials go on only until it is clear whether nearly all of them read. Far from
 * the limit a few decide, near it more are made, and the confidence is the same everywhere.
 */

/** "Reads" is a share of 98 % or more, "does not" one of 85 % or less; in between, either answer does. */
const readsFrom = 0.98;
const failsTo = 0.85;
/** Of either answer being wrong at those shares. */
export const errorRate = 0.05;
/** What neither answer was reached by then is decided by the share that reach is defined by. */
const mostTrials = 60;
const shareOfReach = 0.95;

const forReading = Math.log(readsFrom / failsTo);
const forMissing = Math.log((1 - readsFrom) / (1 - failsTo));
const bound = Math.log((1 - errorRate) / errorRate);

/** Whether a distance counts as read. */
export type TrialVerdict = 'reads' | 'fails';

/** Null while more trials are needed. */
export function verdictOf(read: number, trials: number): TrialVerdict | null {
  const evidence = read * forReading + (trials - read) * forMissing;
  if (evidence >= bound) return 'reads';
  if (evidence <= -bound) return 'fails';
  if (trials < mostTrials) return null;
  return read / trials >= shareOfReach ? 'reads' : 'fails';
}
