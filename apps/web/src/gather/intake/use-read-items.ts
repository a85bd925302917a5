/** Reads long lists in small slices, so that the page never stands still while 2,000 lines come in. */
import type { IntakeItem } from '@hapset/core';
import { startTransition, useEffect, useMemo, useRef, useState } from 'react';

/** So many are read at once without anybody noticing. */
const atOnce = 80;
const sliceMs = 8;
const showEveryMs = 250;

export interface ReadItems {
  readonly items: readonly IntakeItem[];
  /** How many inputs are still to be read. */
  readonly left: number;
}

/**
 * @param inputs pieces or rows
 * @param keyOf what an input's reading depends on; equal keys are read once
 */
export function useReadItems<Input>(
  inputs: readonly Input[],
  keyOf: (input: Input) => string,
  read: (input: Input) => readonly IntakeItem[],
): ReadItems {
  const known = useRef(new Map<string, readonly IntakeItem[]>());
  const [far, setFar] = useState<Read>({ keys: [], items: [], count: 0 });
  const short = inputs.length <= atOnce;
  const keys = useMemo(() => (short ? [] : inputs.map(keyOf)), [inputs, keyOf, short]);
  const atHand = useMemo(() => (short ? inputs.flatMap(read) : []), [inputs, read, short]);

  useEffect(() => {
    if (short) return;
    const items: IntakeItem[] = [];
    let count = 0;
    let shownAt = 0;
    let timer: ReturnType<typeof setTimeout>;
    const slice = (): void => {
      const until = performance.now() + sliceMs;
      while (count < inputs.length && performance.now() < until) {
        const key = keys[count] ?? '';
        const found = known.current.get(key) ?? read(inputs[count] as Input);
        known.current.set(key, found);
        items.push(...found);
        count += 1;
      }
      // Every sight of more rows draws the review again, so it is shown now and then only.
      if (count === inputs.length || performance.now() - shownAt > showEveryMs) {
        shownAt = performance.now();
        const shown = { keys, items: [...items], count };
        startTransition(() => setFar(shown));
      }
      if (count < inputs.length) timer = setTimeout(slice);
    };
    timer = setTimeout(slice);
    return () => clearTimeout(timer);
  }, [inputs, keys, read, short]);

  if (short) return { items: atHand, left: 0 };
  const { items, count } = far.keys === keys ? far : none;
  return { items, left: inputs.length - count };
}

/** What was read of which inputs. */
interface Read {
  readonly keys: readonly string[];
  readonly items: readonly IntakeItem[];
  /** How many inputs that is. */
  readonly count: number;
}

const none: Read = { keys: [], items: [], count: 0 };
