// Runs everything until somebody ends it, or until a part ends too often.
import { startStack } from './stack.mjs';
import { Trouble } from './settings.mjs';

/** @param hello what is said once it runs @throws Trouble */
export async function runStack(settings, hello) {
  console.log('Starting …');
  const stack = await startStack(settings, tellExit);
  console.log(hello);
  const part = await Promise.race([untilStopped(), stack.ended]);
  console.log('\nStopping …');
  await stack.stop();
  if (part)
    throw new Trouble(
      `The ${part} ended four times in five minutes, so it is not started again. What was saved is not lost. Its log in ${settings.dataFolder} says why.`,
    );

  function tellExit({ name, exit, restarted }) {
    if (restarted)
      console.error(`The ${name} ended (${exit}) and is started again. Its log is in ${settings.dataFolder}.`);
  }
}

/** Resolves with nothing when the user ends it. */
function untilStopped() {
  return new Promise((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, () => resolve(undefined));
  });
}
