/**
 * Changes that wait for a server that is away. They are sent in the order in which they were made, each with the key it
 * had the first time, so that one whose reply was lost is not made twice. They are as long there as the page is.
 */
import { isAway } from './problem-error.js';
import type { ServerState } from './server-state.js';

type Listener = () => void;
type FailureListener = (error: Error) => void;

interface Waiting {
  /** In the order of the changes. */
  readonly turn: number;
  readonly send: () => Promise<unknown>;
  readonly resolve: (reply: unknown) => void;
  readonly reject: (error: unknown) => void;
}

export class SaveQueue {
  private line: readonly Waiting[] = [];
  private turns = 0;
  private sending = false;
  private readonly listeners = new Set<Listener>();
  private readonly failureListeners = new Set<FailureListener>();

  constructor(private readonly server: Pick<ServerState, 'isAway' | 'onReturn'>) {
    server.onReturn(() => void this.sendAll());
  }

  /** How many wait. */
  count = (): number => this.line.length;

  /** Hears whenever that changes. Returns how to stop listening. */
  subscribe = (listener: Listener): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Hears of changes that waited and then failed: whatever sent them may be gone by now. */
  onFailure(listener: FailureListener): () => void {
    this.failureListeners.add(listener);
    return () => this.failureListeners.delete(listener);
  }

  /** @param send throws ApiError `unreachable` or `unavailable` while the server is away: then it is called again */
  async add<Reply>(send: () => Promise<Reply>): Promise<Reply> {
    const turn = (this.turns += 1);
    if (this.line.length > 0 || this.server.isAway()) return this.wait(turn, send);
    try {
      return await send();
    } catch (error) {
      if (!isAway(error)) throw error;
      return this.wait(turn, send);
    }
  }

  private wait<Reply>(turn: number, send: () => Promise<Reply>): Promise<Reply> {
    return new Promise<Reply>((resolve, reject) => {
      const waiting = { turn, send, resolve: resolve as Waiting['resolve'], reject };
      this.change([...this.line, waiting].sort((one, other) => one.turn - other.turn));
      // It may have come back between the failure and now.
      if (!this.server.isAway()) void this.sendAll();
    });
  }

  private async sendAll(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    for (let next = this.line[0]; next; next = this.line[0]) {
      const { send, resolve, reject } = next;
      try {
        resolve(await send());
      } catch (error) {
        if (isAway(error)) break;
        reject(error);
        for (const listener of this.failureListeners) listener(error as Error);
      }
      this.change(this.line.filter((each) => each !== next));
    }
    this.sending = false;
  }

  private change(line: readonly Waiting[]): void {
    this.line = line;
    for (const listener of this.listeners) listener();
  }
}
