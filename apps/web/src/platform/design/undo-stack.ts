/** What can be taken back on each page, the last first. */

export interface Undoable {
  /** What was done, as the notice said it. */
  readonly words: string;
  /** Address of the page where it was done, or that it led to. */
  readonly page: string;
  readonly undo: () => void;
}

/** Nobody remembers more of them. */
const mostKept = 30;

export class UndoStack {
  private done: readonly Undoable[] = [];
  private underway: ReadonlySet<Promise<unknown>> = new Set();
  private waiting: Promise<void> = Promise.resolve();

  add(action: Undoable): void {
    this.done = [...this.done, action].slice(-mostKept);
  }

  /** Removes the last action of a page and returns it; null if the page has none. */
  takeLast(page: string): Undoable | null {
    const last = this.done.filter((action) => action.page === page).at(-1) ?? null;
    if (last) this.remove(last);
    return last;
  }

  /** A change is sent. What it adds comes once it is answered. */
  changeSent(change: Promise<unknown>): void {
    this.underway = new Set([...this.underway, change]);
    const forget = (): void => {
      this.underway = new Set([...this.underway].filter((each) => each !== change));
    };
    void change.then(forget, forget);
  }

  /** Whether a change is sent and not answered: what was done last is not known yet. */
  get isWaiting(): boolean {
    return this.underway.size > 0;
  }

  /** Does it once everything that was sent is answered, one after the other: what is done may send something again. */
  whenAnswered(act: () => void): void {
    this.waiting = this.waiting.then(async () => {
      while (this.isWaiting) await Promise.allSettled(this.underway);
      act();
    });
  }

  /** It was taken back in another way. */
  remove(action: Undoable): void {
    this.done = this.done.filter((each) => each !== action);
  }
}
