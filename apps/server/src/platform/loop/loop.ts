/**
 * Work that is done again and again for as long as the server runs. A failure is logged without what it was about, the
 * next try waits longer each time with some jitter, and the loop goes on: the database may be away for hours.
 */
import type { AppLogger } from '../logging/logger.token.js';

const longestWaitMs = 30_000;
/** What usually looks often waits no longer than so many of its turns: it would notice too late that all is well again. */
const longestWaitTurns = 20;

export interface LoopOptions {
  /** For the log: `look for jobs`. */
  readonly name: string;
  readonly everyMs: number;
  readonly logger: AppLogger;
  /** 0 to 1, for the jitter; tests put a fixed one in its place. */
  readonly random?: () => number;
}

export class Loop {
  private timer: NodeJS.Timeout | null = null;
  private running: Promise<void> | null = null;
  private again = false;
  private going = false;
  private failures = 0;

  constructor(
    private readonly work: () => Promise<unknown>,
    private readonly options: LoopOptions,
  ) {}

  /** Works at once, then in turns. Starting twice changes nothing. */
  start(): this {
    if (this.going) return this;
    this.going = true;
    this.wake();
    return this;
  }

  /** Works now, or once more after the run that is under way. */
  wake(): void {
    if (!this.going) return;
    if (this.running) {
      this.again = true;
      return;
    }
    if (this.timer) clearTimeout(this.timer);
    this.running = this.runOnce().then(() => {
      this.running = null;
      this.next();
    });
  }

  /** Ends the loop after the run that is under way, without waiting for it. */
  pause(): void {
    this.going = false;
    this.again = false;
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
  }

  /** Ends the loop, and waits for the run that is under way. It may be started again. */
  async stop(): Promise<void> {
    this.pause();
    await this.running;
  }

  /** Resolves once no run is under way. */
  async settled(): Promise<void> {
    while (this.running) await this.running;
  }

  private async runOnce(): Promise<void> {
    try {
      await this.work();
      this.failures = 0;
    } catch (error) {
      this.failures += 1;
      this.options.logger.error({ err: error, failures: this.failures }, `could not ${this.options.name}`);
    }
  }

  private next(): void {
    if (!this.going) return;
    if (this.again && this.failures === 0) {
      this.again = false;
      return this.wake();
    }
    this.again = false;
    this.timer = setTimeout(
      () => this.wake(),
      waitMs(this.options.everyMs, this.failures, this.options.random ?? Math.random),
    ).unref();
  }
}

/** How long to wait for the next turn, in ms: doubled with each failure up to half a minute, of which the half is chance. */
export function waitMs(everyMs: number, failures: number, random: () => number): number {
  if (failures === 0) return everyMs;
  const longest = Math.min(
    Math.max(everyMs, 200) * 2 ** Math.min(failures, 16),
    Math.max(Math.min(longestWaitMs, everyMs * longestWaitTurns), everyMs),
  );
  return longest * (0.5 + random() / 2);
}
