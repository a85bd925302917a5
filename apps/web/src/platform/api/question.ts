/**
 * Something a call needs from the person at the page: the call waits until it is answered, then continues. All waiting
 * calls get the same answer. The shell shows the question over the page.
 */
type Listener = (wanted: boolean) => void;

export class Question<Answer> {
  private waiting: { readonly promise: Promise<Answer>; readonly resolve: (answer: Answer) => void } | null = null;
  private listener: Listener = () => undefined;

  /** The shell's side: hears when an answer is wanted and when no longer. Returns how to stop listening. */
  onWanted = (listen: Listener): (() => void) => {
    this.listener = listen;
    listen(this.waiting !== null);
    return () => {
      this.listener = () => undefined;
    };
  };

  /** The call's side. */
  ask(): Promise<Answer> {
    if (!this.waiting) {
      let resolve = (_: Answer): void => undefined;
      const promise = new Promise<Answer>((done) => {
        resolve = done;
      });
      this.waiting = { promise, resolve };
      this.listener(true);
    }
    return this.waiting.promise;
  }

  /** The side of what is shown. */
  answer(answer: Answer): void {
    this.waiting?.resolve(answer);
    this.waiting = null;
    this.listener(false);
  }
}
