/**
 * Server-sent events that go on after an outage. A browser tries again by itself only where the connection broke: an
 * answer of a server that is not ready ends it for ever.
 */

/** What is used of EventSource; tests put another in its place. */
export type Source = Pick<EventSource, 'addEventListener' | 'close' | 'readyState'>;

export interface LiveSourceOptions {
  readonly open: () => Source;
  readonly events: Readonly<Record<string, (data: string) => void>>;
  /** The connection was lost. */
  readonly onLost: () => void;
  /** It is there again, or came late: events may have been missed. */
  readonly onReturn: () => void;
}

const closed = 2;
const againMs = 5000;
/** A server tells what it told so long before; a connection that takes longer has missed something. */
const lateMs = 5000;

export class LiveSource {
  private source: Source | null = null;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private lost = false;

  constructor(private readonly options: LiveSourceOptions) {}

  start(): void {
    const source = this.options.open();
    const startedAt = Date.now();
    this.source = source;
    for (const [name, act] of Object.entries(this.options.events))
      source.addEventListener(name, (event) => act((event as MessageEvent<string>).data));
    source.addEventListener('open', () => {
      if (this.lost || Date.now() - startedAt > lateMs) this.options.onReturn();
      this.lost = false;
    });
    source.addEventListener('error', () => {
      if (!this.lost) this.options.onLost();
      this.lost = true;
      if (source.readyState === closed) this.timer ??= setTimeout(this.again, againMs);
    });
  }

  stop(): void {
    this.source?.close();
    if (this.timer !== null) clearTimeout(this.timer);
  }

  private again = (): void => {
    this.timer = null;
    this.start();
  };
}
