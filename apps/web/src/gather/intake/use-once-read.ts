import { useEffect, useRef } from 'react';

/** Does it at once, or as soon as everything is read: Enter may come first. Typing on takes the wish back. */
export function useOnceRead(isReading: boolean, text: string, act: () => void): () => void {
  const wanted = useRef(false);
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  });
  useEffect(() => {
    wanted.current = false;
  }, [text]);
  useEffect(() => {
    if (isReading || !wanted.current) return;
    wanted.current = false;
    latest.current();
  }, [isReading]);
  return () => {
    if (isReading) wanted.current = true;
    else act();
  };
}
