/**
 * What the camera sees or somebody types, asked for, and who it was last. Cards that are read while the server is away
 * wait in order, with their time, and are sent when it answers.
 */
import { limits, type ReadCard, type ReadCardView } from '@hapset/contract';
import type { FoundCode } from '@hapset/readers';
import { useCallback, useEffect, useRef, useState } from 'react';
import { isAway } from '../../platform/api/problem-error.js';
import { serverState } from '../../platform/api/server-state.js';
import { useAskBeforeLeaving } from '../../platform/leaving/use-ask-before-leaving.js';
import { useReadCard } from './cards.queries.js';

/** The camera sees a card many times in a second: within this it is asked for once. */
const sameCardMs = 4000;

export interface Reading {
  readonly last: ReadCardView | null;
  /** Of the last one; null where it went well, or waits. */
  readonly error: Error | null;
  /** Cards that wait for the server. */
  readonly waiting: number;
  readonly ask: (text: string) => void;
  readonly see: (codes: readonly FoundCode[]) => void;
}

export function useReading(): Reading {
  const [last, setLast] = useState<ReadCardView | null>(null);
  const [error, setError] = useState<Error | null>(null);
  const { mutateAsync } = useReadCard();
  const queue = useRef<{ readonly text: string; readonly readAtMs: number }[]>([]);
  const sending = useRef(false);
  const [waiting, setWaiting] = useState(0);
  const sendAll = useCallback(async (): Promise<void> => {
    if (sending.current) return;
    sending.current = true;
    for (let next = queue.current[0]; next; next = queue.current[0]) {
      try {
        setLast(await mutateAsync(toRequest(next)));
        setError(null);
      } catch (failure) {
        if (isAway(failure)) break;
        setError(failure as Error);
      }
      queue.current.shift();
      setWaiting(queue.current.length);
    }
    sending.current = false;
  }, [mutateAsync]);
  const ask = useCallback(
    (text: string): void => {
      queue.current.push({ text, readAtMs: performance.now() });
      setWaiting(queue.current.length);
      void sendAll();
    },
    [sendAll],
  );
  useEffect(() => serverState.onReturn(() => void sendAll()), [sendAll]);
  // They are children's: they wait here, and nowhere in the browser's storage.
  useAskBeforeLeaving(waiting > 0);
  return { last, error, waiting, ask, see: useSeen(ask) };
}

function useSeen(ask: (text: string) => void): Reading['see'] {
  const asked = useRef(new Map<string, number>());
  return useCallback(
    (codes) => {
      const now = Date.now();
      for (const { text } of codes) {
        if (now - (asked.current.get(text) ?? 0) < sameCardMs) continue;
        asked.current.set(text, now);
        ask(text);
      }
    },
    [ask],
  );
}

/** What is sent at once has not waited. */
function toRequest({ text, readAtMs }: { readonly text: string; readonly readAtMs: number }): ReadCard {
  const waitedMs = Math.round(performance.now() - readAtMs);
  return waitedMs < 1000 ? { text } : { text, waitedMs: Math.min(waitedMs, limits.cardWaitMs) };
}
