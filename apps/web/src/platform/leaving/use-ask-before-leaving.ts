import { useEffect } from 'react';

/** The browser asks before the page is closed, as long as something on it would be lost. */
export function useAskBeforeLeaving(unfinished: boolean): void {
  useEffect(() => {
    if (!unfinished) return;
    const ask = (event: BeforeUnloadEvent): void => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [unfinished]);
}
