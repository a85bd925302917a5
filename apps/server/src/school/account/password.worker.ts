/** The thread that hashes: kept files and everything else go on meanwhile. */
import { parentPort } from 'node:worker_threads';
import { hashPasswordNow, isOutdated, passwordMatchesNow } from './password.js';

export interface PasswordTask {
  readonly id: number;
  readonly password: string;
  /** Null: nobody has that account, and the answer takes as long as if somebody had. */
  readonly stored: string | null;
  /** `hash`: only a new hash is wanted. */
  readonly wanted: 'check' | 'hash';
}

export interface PasswordAnswer {
  readonly id: number;
  readonly matches: boolean;
  /** A new hash: where one was wanted, or in the place of an outdated one that matched. */
  readonly renewed: string | null;
}

const nobody = hashPasswordNow('nobody has this password');

parentPort?.on('message', ({ id, password, stored, wanted }: PasswordTask) => {
  if (wanted === 'hash') {
    const renewed = hashPasswordNow(password);
    return parentPort?.postMessage({ id, matches: false, renewed } satisfies PasswordAnswer);
  }
  const matches = passwordMatchesNow(password, stored ?? nobody) && stored !== null;
  parentPort?.postMessage({
    id,
    matches,
    renewed: matches && stored !== null && isOutdated(stored) ? hashPasswordNow(password) : null,
  } satisfies PasswordAnswer);
});
