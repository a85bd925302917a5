/** A school's own server with nothing in it, as `HAPSET_DEMO=0 npm start` starts it, for a journey of its own. */
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { stackPort } from './journey.js';

export interface OwnSchool {
  readonly address: string;
  /** As it was printed. */
  readonly setupLink: string;
  stop(): Promise<void>;
}

export async function startOwnSchool(): Promise<OwnSchool> {
  const dataFolder = resolve(`test-output/school-${stackPort}`);
  rmSync(dataFolder, { recursive: true, force: true });
  // The folder for temporary files belongs to whoever runs the tests; the server may run as another account.
  const { TMPDIR: _, ...environment } = process.env;
  const child = spawn(process.execPath, ['scripts/start.mjs'], {
    env: { ...environment, HAPSET_DEMO: '0', HAPSET_PORT: String(stackPort + 5), HAPSET_DATA: dataFolder },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const stop = async (): Promise<void> => {
    if (child.exitCode === null) {
      const ended = once(child, 'exit');
      child.kill('SIGINT');
      await ended;
    }
    rmSync(dataFolder, { recursive: true, force: true });
  };
  try {
    return { address: `http://127.0.0.1:${stackPort + 5}`, setupLink: await printed(child.stdout), stop };
  } catch (error) {
    await stop();
    throw error;
  }
}

/** Reads until the link was printed. @throws Error where it ends before */
async function printed(output: AsyncIterable<unknown>): Promise<string> {
  let text = '';
  for await (const chunk of output) {
    text += String(chunk);
    const [link] = /http:\S+\/setup#[A-Z0-9-]{19}/.exec(text) ?? [];
    if (link !== undefined) return link;
  }
  throw new Error(`the server printed no setup link:\n${text}`);
}
