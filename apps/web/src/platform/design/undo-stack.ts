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
  private lastTaken: Promise<unknown> = Promise.resolve();

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

  /** As `takeLast`, once every change that is under way is answered. Calls are served in their order. */
  async takeLastWhenAnswered(page: string): Promise<Undoable | null> {
    const before = this.lastTaken;
    const taken = (async () => {
      await before;
      while (this.isWaiting) await Promise.allSettled(this.underway);
      return this.takeLast(page);
    })();
    this.lastTaken = taken;
    return taken;
  }

  /** It was taken back in another way. */
  remove(action: Undoable): void {
    this.done = this.done.filter((each) => each !== action);
  }
}
