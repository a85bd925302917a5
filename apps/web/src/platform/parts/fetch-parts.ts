/**
 * Parts of the application that come when they are needed, like dialogs, are fetched beforehand, one after the other
 * while nobody waits: they open also when the server is away by then. Their names never change what is in them, so that
 * the browser keeps them.
 */

/** Once the page is at rest. */
const afterMs = 8000;

export interface FetchingParts {
  /** Null where there is nothing to be had. */
  readonly fetch: (path: string) => Promise<Response | null>;
  /** Calls back once nobody waits. */
  readonly whenIdle: (act: () => void) => void;
  /** The list that was fetched last in this tab, as a text. */
  readonly done: { readonly read: () => string | null; readonly write: (list: string) => void };
}

/** @returns how many were fetched */
export async function fetchParts({ fetch, whenIdle, done }: FetchingParts): Promise<number> {
  const reply = await fetch('/parts.json');
  const parts = reply?.ok === true ? ((await reply.json().catch(() => [])) as unknown) : [];
  const list = JSON.stringify(parts);
  if (done.read() === list) return 0;
  let fetched = 0;
  for (const part of Array.isArray(parts) ? parts : []) {
    await new Promise<void>((resolve) => whenIdle(resolve));
    if (typeof part !== 'string' || !part.startsWith('assets/')) continue;
    // The server is away: asking for the rest is of no use.
    if ((await fetch(`/${part}`)) === null) return fetched;
    fetched += 1;
  }
  done.write(list);
  return fetched;
}

/** Not where somebody pays for every byte. */
export function fetchPartsSoon(): void {
  const { connection } = navigator as { readonly connection?: { readonly saveData?: boolean } };
  if (connection?.saveData === true) return;
  const whenIdle = (act: () => void): void =>
    void ('requestIdleCallback' in window ? requestIdleCallback(act) : setTimeout(act, 50));
  const get = (path: string): Promise<Response | null> => fetch(path, { priority: 'low' }).catch(() => null);
  const key = 'hapset parts';
  const done = { read: () => sessionStorage.getItem(key), write: (list: string) => sessionStorage.setItem(key, list) };
  // A browser without storage fetches them each time, or not at all: pages load them when they need them.
  setTimeout(() => void fetchParts({ fetch: get, whenIdle, done }).catch(() => undefined), afterMs);
}
