/** Keys that act on a page. In a field they are text. */
import { useEffect, useRef } from 'react';

/** Whether somebody types there. */
export function isField(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.closest('input, textarea, select, [contenteditable]') !== null;
}

/** @param press hears every key that is pressed outside of a field */
export function usePageKey(press: (event: KeyboardEvent) => void): void {
  const latest = useRef(press);
  useEffect(() => {
    latest.current = press;
  });
  useEffect(() => {
    const hear = (event: KeyboardEvent): void => {
      if (!isField(event.target)) latest.current(event);
    };
    document.addEventListener('keydown', hear);
    return () => document.removeEventListener('keydown', hear);
  }, []);
}
