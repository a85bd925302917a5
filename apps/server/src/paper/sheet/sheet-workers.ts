/**
 * The threads that draw sheets. Whoever waits is served in turn, owner after owner, and long drawings never take the last thread: a
 * year group of cards does not keep a colleague's poster waiting.
 */
import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';
import { Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import type { SheetAnswer, SheetTask } from './sheet.work.js';

/** As it is built, also where this file runs from its source. */
const workerFile = fileURLToPath(new URL('../../../dist/paper/sheet/sheet.worker.js', import.meta.url));
const threads = 2;
/** Fonts take memory; an idle thread gives it back. */
const idleMs = 120_000;

export interface AskOptions {
  /** Takes long: leaves a thread to others. */
  readonly long?: boolean;
  readonly stop?: AbortSignal;
  readonly onPage?: (drawn: number) => void;
}

interface Waiting {
  readonly ownerId: string;
  readonly task: SheetTask;
  readonly options: AskOptions;
  readonly resolve: (answer: SheetAnswer) => void;
  readonly reject: (error: Error) => void;
}

type Message = { readonly id: number } & (
  { readonly drawn: number } | { readonly answer: SheetAnswer } | { readonly failure: string }
);

class Thread {
  private worker: Worker | null = null;
  private idle: NodeJS.Timeout | null = null;
  private count = 0;
  busy: Waiting | null = null;

  constructor(private readonly onFree: () => void) {}

  run(waiting: Waiting): void {
    this.busy = waiting;
    if (this.idle) clearTimeout(this.idle);
    const worker = (this.worker ??= this.start());
    const id = (this.count += 1);
    const { task, options } = waiting;
    const stop = (): void => worker.postMessage({ stop: id });
    const end = (finish: () => void): void => {
      options.stop?.removeEventListener('abort', stop);
      worker.off('message', hear).off('exit', gone);
      this.busy = null;
      this.idle = setTimeout(() => this.giveBack(), idleMs).unref();
      finish();
      this.onFree();
    };
    const hear = (message: Message): void => {
      if (message.id !== id) return;
      if ('drawn' in message) options.onPage?.(message.drawn);
      else if ('answer' in message) end(() => waiting.resolve(message.answer));
      else end(() => waiting.reject(new Error(message.failure)));
    };
    const gone = (): void => {
      this.worker = null;
      end(() => waiting.reject(new Error('the thread that drew ended')));
    };
    options.stop?.addEventListener('abort', stop);
    worker.on('message', hear).on('exit', gone);
    worker.postMessage({ id, task });
  }

  /** Ends the thread without waiting for it; a thread that can't be ended now ends with the server. */
  private giveBack(): void {
    this.end().catch(() => undefined);
  }

  async end(): Promise<void> {
    if (this.idle) clearTimeout(this.idle);
    const { worker } = this;
    this.worker = null;
    await worker?.terminate();
  }

  private start(): Worker {
    const worker = new Worker(workerFile);
    worker.unref();
    // What went wrong is told by its exit as well.
    worker.on('error', () => undefined);
    return worker;
  }
}

@Injectable()
export class SheetWorkers implements BeforeApplicationShutdown {
  private readonly pool = Array.from({ length: threads }, () => new Thread(() => this.next()));
  private waiting: Waiting[] = [];
  private lastServed: string | null = null;
  private ended = false;

  /** @throws Error when drawing fails, is stopped, or the server ends */
  ask(ownerId: string, task: SheetTask, options: AskOptions = {}): Promise<SheetAnswer> {
    if (this.ended) return Promise.reject(new Error('the server ends'));
    return new Promise((resolve, reject) => {
      const one: Waiting = { ownerId, task, options, resolve, reject };
      // While it waits; whoever draws hears it by itself.
      options.stop?.addEventListener('abort', () => this.giveUp(one), { once: true });
      this.waiting.push(one);
      if (options.stop?.aborted === true) this.giveUp(one);
      else this.next();
    });
  }

  async beforeApplicationShutdown(): Promise<void> {
    this.ended = true;
    for (const { reject } of this.waiting) reject(new Error('the server ends'));
    this.waiting = [];
    await Promise.all(this.pool.map((thread) => thread.end()));
  }

  private giveUp(one: Waiting): void {
    if (!this.waiting.includes(one)) return;
    this.waiting = this.waiting.filter((other) => other !== one);
    one.reject(new Error('stopped'));
  }

  private next(): void {
    const free = this.pool.find((thread) => thread.busy === null);
    if (!free) return;
    const longRuns = this.pool.some(({ busy }) => busy?.options.long === true);
    const turn = takeTurn(this.waiting, this.lastServed, longRuns);
    if (turn === null) return;
    this.waiting = this.waiting.filter((one) => one !== turn);
    this.lastServed = turn.ownerId;
    free.run(turn);
    this.next();
  }
}

/** Who is next: somebody else than the last one where somebody else waits, and nothing long beside something long. */
export function takeTurn<Task extends { readonly ownerId: string; readonly options: Pick<AskOptions, 'long'> }>(
  waiting: readonly Task[],
  lastServed: string | null,
  longRuns: boolean,
): Task | null {
  const may = waiting.filter(({ options }) => !(longRuns && options.long === true));
  return may.find(({ ownerId }) => ownerId !== lastServed) ?? may[0] ?? null;
}
