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

interface Placed {
  readonly action: Undoable;
  readonly place: number;
}

export class UndoStack {
  private done: readonly Placed[] = [];
  /** Changes are numbered in the order in which they are sent. */
  private lastPlace = 0;
  /** The place of the change whose answer is followed right now. */
  private followed: number | null = null;
  private underway: ReadonlySet<Promise<unknown>> = new Set();
  private waiting: Promise<void> = Promise.resolve();

  add(action: Undoable): void {
    const place = this.followed ?? (this.lastPlace += 1);
    const isLater = (each: Placed): boolean => each.place > place;
    const earlier = this.done.filter((each) => !isLater(each));
    this.done = [...earlier, { action, place }, ...this.done.filter(isLater)].slice(-mostKept);
  }

  /** Removes the last action of a page and returns it; null if the page has none. */
  takeLast(page: string): Undoable | null {
    const last = this.done.findLast(({ action }) => action.page === page)?.action ?? null;
    if (last) this.remove(last);
    return last;
  }

  /**
   * A change is sent. What it adds comes once it is answered, and in the place of the change: answers may arrive in
   * another order than the one in which people acted.
   */
  changeSent<Reply>(
    change: Promise<Reply>,
    onSuccess: (reply: Reply) => unknown = () => undefined,
    onError: (error: unknown) => unknown = () => undefined,
  ): void {
    const place = (this.lastPlace += 1);
    const whole = change.then(
      (reply) => this.follow(place, () => onSuccess(reply)),
      (error: unknown) => this.follow(place, () => onError(error)),
    );
    this.underway = new Set([...this.underway, whole]);
    const forget = (): void => {
      this.underway = new Set([...this.underway].filter((each) => each !== whole));
    };
    void whole.then(forget, forget);
  }

  private follow(place: number, act: () => unknown): unknown {
    this.followed = place;
    try {
      return act();
    } finally {
      this.followed = null;
    }
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
    this.done = this.done.filter((each) => each.action !== action);
  }
}
