import type { Drafts } from './drafts.js';

/** A moment after the last letter. */
const quietMs = 400;

/** Keeps what is typed in one place, a moment after the last letter and before the page is left. */
export class DraftKeeper {
  private timer: ReturnType<typeof setTimeout> | undefined;
  private waiting: { readonly value: unknown } | null = null;

  /** @param accountId whose; undefined while nobody is signed in, and nothing is kept */
  constructor(
    private readonly drafts: Drafts,
    private readonly accountId: string | undefined,
    private readonly place: string,
  ) {}

  /** @param value null where nothing is left to keep */
  keepSoon(value: unknown): void {
    this.waiting = { value };
    clearTimeout(this.timer);
    this.timer = setTimeout(this.flush, quietMs);
  }

  flush = (): void => {
    clearTimeout(this.timer);
    const { waiting, accountId } = this;
    this.waiting = null;
    if (!waiting || accountId === undefined) return;
    if (waiting.value === null) this.drafts.remove(accountId, this.place);
    else this.drafts.save(accountId, this.place, waiting.value);
  };

  /** It was saved at the server, or discarded. */
  remove(): void {
    clearTimeout(this.timer);
    this.waiting = null;
    if (this.accountId !== undefined) this.drafts.remove(this.accountId, this.place);
  }

  /** Before the page is closed, and when its part of the page goes. */
  watchLeaving(): () => void {
    window.addEventListener('pagehide', this.flush);
    return () => {
      window.removeEventListener('pagehide', this.flush);
      this.flush();
    };
  }
}
