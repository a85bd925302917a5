/** Checks and hashes passwords one after the other in a thread of its own. Its queue is short: whoever can't be served soon is told to come back. */
import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';
import { Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import { ProblemError } from '../../platform/problem/problem.js';
import type { PasswordAnswer, PasswordTask } from './password.worker.js';

/** As it is built, also where this file runs from its source. */
const workerFile = fileURLToPath(new URL('../../../dist/school/account/password.worker.js', import.meta.url));
/** A staff room that signs in at once; some 30 ms each. */
export const waitingAtMost = 40;
const retryAfterS = 3;

interface Waiting {
  readonly resolve: (answer: PasswordAnswer) => void;
  readonly reject: (error: Error) => void;
}

@Injectable()
export class PasswordHasher implements BeforeApplicationShutdown {
  private worker: Worker | null = null;
  private readonly waiting = new Map<number, Waiting>();
  private count = 0;

  /**
   * @param stored null where there is no such account; the answer takes as long
   * @throws ProblemError busy
   */
  async check(password: string, stored: string | null): Promise<PasswordAnswer> {
    return this.ask({ password, stored, wanted: 'check' });
  }

  /** A hash to be stored. @throws ProblemError busy */
  async hash(password: string): Promise<string> {
    const { renewed } = await this.ask({ password, stored: null, wanted: 'hash' });
    if (renewed === null) throw new Error('the thread that hashes passwords gave none');
    return renewed;
  }

  private ask(task: Omit<PasswordTask, 'id'>): Promise<PasswordAnswer> {
    if (this.waiting.size >= waitingAtMost)
      throw new ProblemError('busy', 'Too many people sign in at this moment.', { retryAfterS });
    const worker = (this.worker ??= this.start());
    const id = (this.count += 1);
    return new Promise((resolve, reject) => {
      this.waiting.set(id, { resolve, reject });
      worker.postMessage({ ...task, id } satisfies PasswordTask);
    });
  }

  async beforeApplicationShutdown(): Promise<void> {
    await this.worker?.terminate();
  }

  private start(): Worker {
    const worker = new Worker(workerFile);
    worker.unref();
    worker.on('message', (answer: PasswordAnswer) => {
      this.waiting.get(answer.id)?.resolve(answer);
      this.waiting.delete(answer.id);
    });
    worker.on('error', () => undefined);
    worker.on('exit', () => {
      this.worker = null;
      for (const { reject } of this.waiting.values()) reject(new Error('the thread that hashes passwords ended'));
      this.waiting.clear();
    });
    return worker;
  }
}
