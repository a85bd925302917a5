/** What reads pasted text. It comes after the page, with its list of public suffixes: nothing can be read before something is typed. */
import { useEffect, useState } from 'react';

type Core = typeof import('@hapset/core');
/** The core's reading of pasted text. */
export type IntakeReader = Pick<
  Core,
  'bodyOf' | 'guessColumns' | 'prepareForDuplicates' | 'readItem' | 'readLink' | 'readRow' | 'splitPieces'
>;

let loaded: IntakeReader | null = null;

async function load(): Promise<IntakeReader> {
  loaded ??= await import('./core-reader.js');
  return loaded;
}

/** @param wanted true once there is something to read; before, it comes when the browser has nothing else to do */
export function useReader(wanted: boolean): IntakeReader | null {
  const [reader, setReader] = useState(loaded);
  useEffect(() => {
    if (reader) return undefined;
    let left = false;
    const take = (): void => void load().then((read) => !left && setReader(read));
    const idle = wanted || !('requestIdleCallback' in window) ? null : requestIdleCallback(take);
    if (wanted) take();
    return () => {
      left = true;
      if (idle !== null) cancelIdleCallback(idle);
    };
  }, [reader, wanted]);
  return reader;
}
