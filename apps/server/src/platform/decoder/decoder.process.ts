/** The process that decodes: takes one task, answers, ends. */
import { decode } from './decode.js';
import type { DecoderTask } from './decoder.task.js';

process.once('message', (task: DecoderTask) => {
  decode(task).then(
    (answer) => process.send?.(answer, () => process.disconnect()),
    () => process.exit(1),
  );
});
