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

  add(action: Undoable): void {
    this.done = [...this.done, action].slice(-mostKept);
  }

  /** Removes the last action of a page and returns it; null if the page has none. */
  takeLast(page: string): Undoable | null {
    const last = this.done.filter((action) => action.page === page).at(-1) ?? null;
    if (last) this.remove(last);
    return last;
  }

  /** It was taken back in another way. */
  remove(action: Undoable): void {
    this.done = this.done.filter((each) => each !== action);
  }
}
