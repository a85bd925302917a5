import { useEffect, useRef } from 'react';

/** Acts at once, or when everything is read: a teacher may press Enter before that. Typing more cancels it. */
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
