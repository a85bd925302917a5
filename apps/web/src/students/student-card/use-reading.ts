/**
 * What the camera sees, a scanner says or somebody types, asked for, and who it was last. Cards that are read while the
 * server is away wait in order, with their time, and are sent when it answers.
 */
import { limits, type ReadCard, type ReadCardView } from '@hapset/contract';
import type { FoundCode } from '@hapset/readers';
import { useCallback, useEffect, useRef, useState } from 'react';
import { isAway } from '../../platform/api/problem-error.js';
import { serverState } from '../../platform/api/server-state.js';
import { useAskBeforeLeaving } from '../../platform/leaving/use-ask-before-leaving.js';
import { useReadCard } from './cards.queries.js';
import { keepUnsent, loadUnsent, type UnsentCard } from './unsent-cards.js';

/** The camera sees a card many times in a second: within this it is asked for once. */
const sameCardMs = 4000;
/** Held up again within this, it is one reading. */
const sameReadingMs = 60_000;

export interface Reading {
  readonly last: ReadCardView | null;
  /** Of the last one; null where it went well, or waits. */
  readonly error: Error | null;
  /** Cards that wait for the server, the oldest first. */
  readonly waiting: readonly UnsentCard[];
  readonly ask: (text: string, typed?: boolean) => void;
  readonly see: (codes: readonly FoundCode[]) => void;
}

/** @param accountId who reads */
export function useReading(accountId: string): Reading {
  const [last, setLast] = useState<ReadCardView | null>(null);
  const [error, setError] = useState<Error | null>(null);
  const { mutateAsync } = useReadCard();
  const [waiting, setWaiting] = useState<readonly UnsentCard[]>(() => loadUnsent(accountId));
  const queue = useRef(waiting);
  const sending = useRef(false);
  const setQueue = useCallback(
    (cards: readonly UnsentCard[]): void => {
      queue.current = cards;
      keepUnsent(accountId, cards);
      setWaiting(cards);
    },
    [accountId],
  );
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
      setQueue(queue.current.slice(1));
    }
    sending.current = false;
  }, [mutateAsync, setQueue]);
  const ask = useCallback(
    (text: string, typed = false): void => {
      const readAtMs = Date.now();
      const waits = queue.current.some((card) => card.text === text && readAtMs - card.readAtMs < sameReadingMs);
      if (!waits) setQueue([...queue.current, { text, typed, readAtMs }]);
      void sendAll();
    },
    [sendAll, setQueue],
  );
  useEffect(() => {
    // What an earlier load of this tab has left.
    void sendAll();
    return serverState.onReturn(() => void sendAll());
  }, [sendAll]);
  useAskBeforeLeaving(waiting.length > 0);
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

/** What is sent at once has not waited; the clock may have been put back meanwhile. */
function toRequest({ text, typed, readAtMs }: UnsentCard): ReadCard {
  const waitedMs = Math.max(0, Math.round(Date.now() - readAtMs));
  return {
    text,
    ...(typed && { typed }),
    ...(waitedMs >= 1000 && { waitedMs: Math.min(waitedMs, limits.cardWaitMs) }),
  };
}
