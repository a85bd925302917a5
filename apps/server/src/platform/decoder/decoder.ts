/**
 * Decodes files from outside in processes of their own, two at a time, with limits on memory, time and what they may
 * write. A file that takes more is refused; the server and everything else go on.
 */
import { spawn, type ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import { ProblemError } from '../problem/problem.js';
import {
  mostPixels,
  type DecodedPicture,
  type DecoderAnswer,
  type DecoderProblem,
  type DecoderResult,
  type DecoderTask,
} from './decoder.task.js';

/** As it is built, also where this file runs from its source. */
const processFile = fileURLToPath(new URL('../../../dist/platform/decoder/decoder.process.js', import.meta.url));

export interface DecoderLimits {
  readonly atOnce: number;
  readonly waitingAtMost: number;
  readonly timeMs: number;
  /** Private memory of one process (RLIMIT_DATA): what it allocates, not what it maps of programs. */
  readonly memoryBytes: number;
  readonly outputBytes: number;
}
export const decoderLimits: DecoderLimits = {
  atOnce: 2,
  waitingAtMost: 60,
  timeMs: 30_000,
  memoryBytes: 1024 ** 3,
  outputBytes: 400_000_000,
};

@Injectable()
export class Decoder implements BeforeApplicationShutdown {
  private readonly waiting: (() => void)[] = [];
  private readonly running = new Set<ChildProcess>();
  private taken = 0;
  /** Tests put narrower ones in their place. */
  limits: DecoderLimits = decoderLimits;

  /** @throws ProblemError unusable-picture saying why, busy where too many wait already */
  async decode<Task extends DecoderTask>(task: Task): Promise<DecoderResult<Task>> {
    await this.turn();
    try {
      const answer = await this.run(task);
      if (!answer.ok) throw new ProblemError('unusable-picture', wordsOf(answer));
      return answer.result as DecoderResult<Task>;
    } finally {
      this.taken -= 1;
      this.waiting.shift()?.();
    }
  }

  beforeApplicationShutdown(): void {
    for (const child of this.running) child.kill('SIGKILL');
  }

  private async turn(): Promise<void> {
    if (this.taken >= this.limits.atOnce) {
      if (this.waiting.length >= this.limits.waitingAtMost)
        throw new ProblemError('busy', 'Too many pictures are read at this moment.', { retryAfterS: 10 });
      await new Promise<void>((resolve) => this.waiting.push(resolve));
    }
    this.taken += 1;
  }

  private run(task: DecoderTask): Promise<DecoderAnswer> {
    const { timeMs, memoryBytes, outputBytes } = this.limits;
    const program = [process.execPath, '--max-old-space-size=256', processFile];
    const child = spawn(
      'prlimit',
      [
        `--data=${memoryBytes}`,
        `--cpu=${Math.ceil(timeMs / 1000)}`,
        `--fsize=${outputBytes}`,
        '--core=0',
        '--',
        ...program,
      ],
      {
        stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
        serialization: 'advanced',
        env: { PATH: process.env.PATH ?? '', LANG: 'C.UTF-8', MALLOC_ARENA_MAX: '2' },
      },
    );
    this.running.add(child);
    return new Promise((resolve) => {
      const timer = setTimeout(() => child.kill('SIGKILL'), timeMs);
      const settle = (answer: DecoderAnswer): void => {
        clearTimeout(timer);
        this.running.delete(child);
        resolve(answer);
      };
      child.once('message', (answer) => settle(answer as DecoderAnswer));
      // It ended without an answer: out of memory or out of time.
      child.once('exit', () => settle({ ok: false, reason: 'too-costly' }));
      child.once('error', () => settle({ ok: false, reason: 'too-costly' }));
      child.send(task, () => undefined);
    });
  }
}

export type { DecodedPicture };

function wordsOf(problem: DecoderProblem): string {
  switch (problem.reason) {
    case 'too-many-pixels':
      return `This picture has ${problem.megapixels} megapixels; ${mostPixels / 1e6} are the most. Save it smaller and add it again.`;
    case 'too-costly':
      return 'This picture takes too long or too much memory to read. Save it as JPEG or PNG and add it again.';
    case 'unreadable':
      return 'This picture can’t be read. Save it as JPEG or PNG and add it again.';
  }
}
