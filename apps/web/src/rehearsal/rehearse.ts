import type { RehearsalResult } from '@hapset/contract';
import type { RehearsalMessage, RehearsalWish } from './rehearsal.messages.js';

/** Kept between rehearsals, because loading the reader engines takes a moment. */
let idle: Worker | null = null;

function takeWorker(): Worker {
  const worker = idle ?? new Worker(new URL('./rehearsal.worker.ts', import.meta.url), { type: 'module' });
  idle = null;
  return worker;
}

/**
 * Rehearses in the worker. Aborting ends the worker at once.
 * @param onDevice hears of each device as it is done
 */
export function rehearse(wish: RehearsalWish, signal: AbortSignal, onDevice: (result: RehearsalResult) => void): Promise<readonly RehearsalResult[]> {
  return new Promise((resolve, reject) => {
    const worker = takeWorker();
    const results: RehearsalResult[] = [];
    const abort = (): void => stop(new DOMException('stopped', 'AbortError'));
    const stop = (error: Error): void => {
      signal.removeEventListener('abort', abort);
      worker.terminate();
      reject(error);
    };
    const finish = (): void => {
      // From here on the worker belongs to the next rehearsal: leaving this one must not end it.
      signal.removeEventListener('abort', abort);
      idle?.terminate();
      idle = worker;
      resolve(results);
    };
    signal.addEventListener('abort', abort);
    worker.onerror = (event) => stop(new Error(event.message));
    worker.onmessage = ({ data }: MessageEvent<RehearsalMessage>) => {
      if (data.sort === 'failed') stop(new Error(data.message));
      else if (data.sort === 'end') finish();
      else {
        results.push(data.result);
        onDevice(data.result);
      }
    };
    worker.postMessage(wish);
  });
}
