/** Workers with reader engines, shared by reading and rehearsing: loading the engines takes a moment, so idle ones are kept. */
import type { ReaderMessage, ReaderRequest } from './reader.messages.js';

const idle: Worker[] = [];
/** One for what is read, and those that rehearse at the same time. */
const mostIdle = 4;

function take(): Worker {
  return idle.pop() ?? new Worker(new URL('./reader.worker.ts', import.meta.url), { type: 'module' });
}

function giveBack(worker: Worker): void {
  worker.onmessage = null;
  worker.onerror = null;
  if (idle.length < mostIdle) idle.push(worker);
  else worker.terminate();
}

/**
 * Sends a request to a worker. Aborting ends the worker at once.
 * @param onMessage gives true when the work is done
 */
export function askReader(
  request: ReaderRequest,
  signal: AbortSignal | null,
  onMessage: (message: ReaderMessage) => boolean,
): Promise<void> {
  return new Promise((resolve, reject) => {
    const worker = take();
    const abort = (): void => stop(new DOMException('stopped', 'AbortError'));
    const stop = (error: Error): void => {
      signal?.removeEventListener('abort', abort);
      worker.terminate();
      reject(error);
    };
    signal?.addEventListener('abort', abort);
    worker.onerror = (event) => stop(new Error(event.message));
    worker.onmessage = ({ data }: MessageEvent<ReaderMessage>) => {
      if (data.kind === 'failed') return stop(new Error(data.message));
      if (!onMessage(data)) return;
      // From here on the worker belongs to the next request: leaving this one must not end it.
      signal?.removeEventListener('abort', abort);
      giveBack(worker);
      resolve();
    };
    worker.postMessage(request);
  });
}
