/**
 * A scanner in the hand types like a keyboard, faster than anybody, and ends with Enter: it is heard wherever the page is,
 * whether or not a field was clicked.
 */
import { useEffect, useRef } from 'react';

/** Between two letters of a scanner, on average, milliseconds; people need three times as long. */
const scannerGapMs = 40;
/** After that, another text begins, milliseconds. */
const pauseMs = 200;
const shortest = 4;

interface Typed {
  readonly text: string;
  readonly from: number;
  readonly to: number;
}

const nothing: Typed = { text: '', from: 0, to: 0 };

/** @returns what was typed by then, and what a scanner has said with this key; null while it goes on */
export function hearKey(
  typed: Typed,
  { key, timeStamp }: Pick<KeyboardEvent, 'key' | 'timeStamp'>,
): { readonly typed: Typed; readonly said: string | null } {
  if (key === 'Enter') {
    const { text, from, to } = typed;
    const isScanner = text.length >= shortest && (to - from) / (text.length - 1) <= scannerGapMs;
    return { typed: nothing, said: isScanner && timeStamp - to <= pauseMs ? text : null };
  }
  // Shift and its like come between letters.
  if ([...key].length !== 1) return { typed, said: null };
  const goesOn = typed.text !== '' && timeStamp - typed.to <= pauseMs;
  const next = goesOn
    ? { ...typed, text: typed.text + key, to: timeStamp }
    : { text: key, from: timeStamp, to: timeStamp };
  return { typed: next, said: null };
}

/** @param onScan hears what a scanner said; the keys do nothing else then */
export function useHandScanner(onScan: (text: string) => void): void {
  const latest = useRef(onScan);
  useEffect(() => {
    latest.current = onScan;
  });
  useEffect(() => {
    let typed = nothing;
    const hear = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const heard = hearKey(typed, event);
      typed = heard.typed;
      if (heard.said === null) return;
      event.preventDefault();
      event.stopPropagation();
      latest.current(heard.said);
    };
    // Before any field hears it.
    document.addEventListener('keydown', hear, { capture: true });
    return () => document.removeEventListener('keydown', hear, { capture: true });
  }, []);
}
