/**
 * When a session ends while a page is open, the call that noticed waits here until somebody has signed in again, and
 * then goes on: nothing that was typed is lost. The shell shows the sign-in over the page.
 */
type Listener = (wanted: boolean) => void;

let waiting: { promise: Promise<void>; resolve: () => void } | null = null;
let listener: Listener = () => undefined;

/** The shell's side: hears when a sign-in is wanted and when no longer. Returns how to stop listening. */
export function onSessionWanted(listen: Listener): () => void {
  listener = listen;
  listen(waiting !== null);
  return () => {
    listener = () => undefined;
  };
}

/** The client's side: resolves once somebody has signed in again. */
export function sessionRenewed(): Promise<void> {
  if (!waiting) {
    let resolve = (): void => undefined;
    const promise = new Promise<void>((done) => {
      resolve = done;
    });
    waiting = { promise, resolve };
    listener(true);
  }
  return waiting.promise;
}

/** The sign-in's side. */
export function announceSession(): void {
  waiting?.resolve();
  waiting = null;
  listener(false);
}
