/** Reads long lists in small slices, so that the page never stands still while 2,000 lines come in. */
import type { IntakeItem } from '@hapset/core';
import { startTransition, useEffect, useMemo, useRef, useState } from 'react';

/** So many are read at once without anybody noticing. */
const atOnce = 80;
const sliceMs = 8;
const showEveryMs = 250;

export interface ReadItems {
  readonly items: readonly IntakeItem[];
  /** How many are still to be read. */
  readonly left: number;
}

/**
 * @param inputs pieces or rows
 * @param keyOf what an input's reading depends on; equal keys are read once
 */
export function useReadItems<Input>(
  inputs: readonly Input[],
  keyOf: (input: Input) => string,
  read: (input: Input) => IntakeItem,
): ReadItems {
  const known = useRef(new Map<string, IntakeItem>());
  const [far, setFar] = useState<{ readonly keys: readonly string[]; readonly items: readonly IntakeItem[] }>({
    keys: [],
    items: [],
  });
  const short = inputs.length <= atOnce;
  const keys = useMemo(() => (short ? [] : inputs.map(keyOf)), [inputs, keyOf, short]);
  const atHand = useMemo(() => (short ? inputs.map(read) : []), [inputs, read, short]);

  useEffect(() => {
    if (short) return;
    const items: IntakeItem[] = [];
    let shownAt = 0;
    let timer: ReturnType<typeof setTimeout>;
    const slice = (): void => {
      const until = performance.now() + sliceMs;
      while (items.length < inputs.length && performance.now() < until) {
        const key = keys[items.length] ?? '';
        const item = known.current.get(key) ?? read(inputs[items.length] as Input);
        known.current.set(key, item);
        items.push(item);
      }
      // Every sight of more rows draws the review again, so it is shown now and then only.
      if (items.length === inputs.length || performance.now() - shownAt > showEveryMs) {
        shownAt = performance.now();
        const shown = [...items];
        startTransition(() => setFar({ keys, items: shown }));
      }
      if (items.length < inputs.length) timer = setTimeout(slice);
    };
    timer = setTimeout(slice);
    return () => clearTimeout(timer);
  }, [inputs, keys, read, short]);

  if (short) return { items: atHand, left: 0 };
  const items = far.keys === keys ? far.items : none;
  return { items, left: inputs.length - items.length };
}

const none: readonly IntakeItem[] = [];
