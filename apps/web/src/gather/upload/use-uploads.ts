/** Files on their way: two at once, each with its progress, each can be stopped or tried again. */
import type { FileView } from '@hapset/contract';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { wordsFor } from '../../platform/wording/problems.js';
import { useAskBeforeLeaving } from '../../platform/leaving/use-ask-before-leaving.js';
import { sendFile, type Sending } from './upload-file.js';

const atOnce = 2;

export interface UploadItem {
  readonly key: number;
  readonly source: File;
  readonly state: 'waiting' | 'sending' | 'preparing' | 'done' | 'failed';
  readonly sentBytes: number;
  /** The kept file, once it is one. */
  readonly file: FileView | null;
  readonly problem: string | null;
}

export interface Uploads {
  readonly items: readonly UploadItem[];
  readonly add: (files: readonly File[]) => void;
  /** Stops it and takes it off the list. */
  readonly remove: (key: number) => void;
  readonly retry: (key: number) => void;
  readonly clear: () => void;
}

export function useUploads(): Uploads {
  const [items, setItems] = useState<readonly UploadItem[]>([]);
  const next = useRef(1);
  const sendings = useRef(new Map<number, Sending>());
  const change = useCallback(
    (key: number, more: Partial<UploadItem>): void =>
      setItems((before) => before.map((item) => (item.key === key ? { ...item, ...more } : item))),
    [],
  );

  useEffect(() => {
    const busy = items.filter(({ state }) => state === 'sending' || state === 'preparing').length;
    for (const { key, source } of items
      .filter(({ state }) => state === 'waiting')
      .slice(0, Math.max(0, atOnce - busy))) {
      if (sendings.current.has(key)) continue;
      const sending = sendFile(
        source,
        source.name,
        (sentBytes) => change(key, { sentBytes }),
        () => change(key, { state: 'preparing' }),
      );
      sendings.current.set(key, sending);
      change(key, { state: 'sending', problem: null });
      sending.done
        .then((file) => change(key, { state: 'done', file, sentBytes: source.size }))
        .catch((error: unknown) => change(key, { state: 'failed', problem: wordsFor(error) }))
        .finally(() => sendings.current.delete(key));
    }
  }, [items, change]);

  useAskBeforeLeaving(items.some(({ state }) => state === 'sending' || state === 'waiting'));
  return useMemo(
    () => ({
      items,
      add: (files) =>
        setItems((before) => [
          ...before,
          ...files.map((source): UploadItem => ({
            key: next.current++,
            source,
            state: 'waiting',
            sentBytes: 0,
            file: null,
            problem: null,
          })),
        ]),
      remove: (key) => {
        sendings.current.get(key)?.stop();
        setItems((before) => before.filter((item) => item.key !== key));
      },
      retry: (key) => change(key, { state: 'waiting', problem: null }),
      clear: () => setItems([]),
    }),
    [items, change],
  );
}
