import { useEffect, useState } from 'react';
import type { AttemptRequest, SeenAttempt } from '../reader/reader.messages.js';
import { lookAtAttempt } from './rehearse.js';

/** One attempt, worked out again with each change; what was seen before stays in sight until the next is there. */
export function useAttempt(request: AttemptRequest | null): {
  readonly attempt: SeenAttempt | null;
  readonly failed: boolean;
} {
  const [attempt, setAttempt] = useState<SeenAttempt | null>(null);
  const [failed, setFailed] = useState(false);
  const text = request && JSON.stringify(request);
  useEffect(() => {
    if (text === null) return;
    const leave = new AbortController();
    // A slider that moves asks for the newest only; what runs is let finish, since ending a worker costs more than a frame.
    const timer = setTimeout(() => {
      lookAtAttempt(JSON.parse(text) as AttemptRequest, new AbortController().signal)
        .then((seen) => {
          if (leave.signal.aborted) return;
          setAttempt(seen);
          setFailed(seen === null);
        })
        .catch(() => {
          if (!leave.signal.aborted) setFailed(true);
        });
    }, 30);
    return () => {
      clearTimeout(timer);
      leave.abort();
    };
  }, [text]);
  return { attempt, failed };
}
