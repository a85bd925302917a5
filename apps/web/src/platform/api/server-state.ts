/**
 * Whether the server can answer. Calls tell what they met; while it can't, it is asked again every few seconds, and the
 * pages look again by themselves once it can.
 */
import { routes } from '@hapset/contract';
import { serverClock } from '../clock/server-clock.js';

type Listener = () => void;

const everyMs = 3000;

export class ServerState {
  private away = false;
  private answeredAt = serverClock.now();
  private timer: ReturnType<typeof setTimeout> | null = null;
  private readonly listeners = new Set<Listener>();
  private readonly returns = new Set<Listener>();

  /** @param isReady asks the server; false also where it can't be reached */
  constructor(private readonly isReady: () => Promise<boolean>) {}

  isAway = (): boolean => this.away;

  /** When it last answered, or when the page was opened: milliseconds since 1970. */
  lastAnswer = (): number => this.answeredAt;

  /** A call was answered. */
  noteAnswer(): void {
    this.answeredAt = serverClock.now();
  }

  /** Hears whenever it changes. Returns how to stop listening. */
  subscribe = (listener: Listener): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Hears each time it answers again. */
  onReturn(listener: Listener): () => void {
    this.returns.add(listener);
    return () => this.returns.delete(listener);
  }

  /** A call could not be answered. */
  noteAway(): void {
    if (this.away) return;
    this.away = true;
    this.tell(this.listeners);
    this.askLater();
  }

  /** Something speaks for an outage: it is asked before anybody waits for an answer. */
  askNow(): void {
    if (this.away) return;
    this.isReady().then(
      (ready) => !ready && this.noteAway(),
      () => this.noteAway(),
    );
  }

  private askLater(): void {
    this.timer ??= setTimeout(() => {
      this.timer = null;
      this.isReady().then(
        (ready) => (ready ? this.noteReturn() : this.askLater()),
        () => this.askLater(),
      );
    }, everyMs);
  }

  private noteReturn(): void {
    this.away = false;
    this.tell(this.listeners);
    this.tell(this.returns);
  }

  private tell(listeners: ReadonlySet<Listener>): void {
    for (const listener of listeners) listener();
  }
}

export const serverState = new ServerState(async () => (await fetch(routes.ready.path, { cache: 'no-store' })).ok);
