/** InnoDB ends one of two transactions that wait for each other, and says that it may be tried again. */
import { setTimeout as wait } from 'node:timers/promises';

const mostTries = 5;
const firstWaitMs = 10;

/** Does the work again where it was chosen to give way. @throws whatever else it throws, and the deadlock after the last try */
export async function retryingDeadlocks<T>(work: () => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt += 1) {
    try {
      return await work();
    } catch (error) {
      if ((error as { readonly code?: unknown }).code !== 'ER_LOCK_DEADLOCK' || attempt === mostTries) throw error;
      await wait(firstWaitMs * 2 ** attempt);
    }
  }
}
