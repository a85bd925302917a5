/**
 * Some changes ask for the password again. The call that was refused waits here until it was given, and then goes on;
 * whoever does not want to give it lets the call fail. The shell shows the question over the page.
 */
type Listener = (wanted: boolean) => void;

let waiting: { readonly promise: Promise<boolean>; readonly resolve: (given: boolean) => void } | null = null;
let listener: Listener = () => undefined;

/** The shell's side: hears when the password is wanted and when no longer. Returns how to stop listening. */
export function onPasswordWanted(listen: Listener): () => void {
  listener = listen;
  listen(waiting !== null);
  return () => {
    listener = () => undefined;
  };
}

/** The client's side: resolves with whether it was given. */
export function passwordGiven(): Promise<boolean> {
  if (!waiting) {
    let resolve = (_given: boolean): void => undefined;
    const promise = new Promise<boolean>((done) => {
      resolve = done;
    });
    waiting = { promise, resolve };
    listener(true);
  }
  return waiting.promise;
}

/** The question's side. */
export function answerPasswordRequest(given: boolean): void {
  waiting?.resolve(given);
  waiting = null;
  listener(false);
}
