/** Draws sheets in a thread of its own: fonts are loaded once in it, and the server goes on answering meanwhile. */
import { parentPort } from 'node:worker_threads';
import { answerTask, type SheetTask } from './sheet.work.js';

const port = parentPort;
if (port === null) throw new Error('this runs in a worker thread');

const stopped = new Set<number>();

port.on('message', (message: { readonly id: number; readonly task: SheetTask } | { readonly stop: number }) => {
  if ('stop' in message) {
    stopped.add(message.stop);
    return;
  }
  const { id, task } = message;
  const onPage = async (drawn: number): Promise<void> => {
    port.postMessage({ id, drawn });
    // So that being stopped is heard.
    await new Promise((resolve) => setImmediate(resolve));
    if (stopped.has(id)) throw new Error('stopped');
  };
  answerTask(task, onPage)
    .then((answer) => port.postMessage({ id, answer }))
    .catch((error: unknown) =>
      port.postMessage({ id, failure: error instanceof Error ? error.message : String(error) }),
    )
    .finally(() => stopped.delete(id));
});
