import type { RehearsalResult } from '@hapset/contract';
import { askReader } from '../reader/reader-pool.js';
import type { RehearsalWish } from '../reader/reader.messages.js';

/**
 * Rehearses in a worker. Aborting ends the worker at once.
 * @param onDevice hears of each device as it is done
 */
export async function rehearse(wish: RehearsalWish, signal: AbortSignal, onDevice: (result: RehearsalResult) => void): Promise<readonly RehearsalResult[]> {
  const results: RehearsalResult[] = [];
  await askReader({ sort: 'rehearse', wish }, signal, (message) => {
    if (message.sort === 'device') {
      results.push(message.result);
      onDevice(message.result);
    }
    return message.sort === 'end';
  });
  return results;
}
