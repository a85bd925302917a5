/**
 * Keeps a page while it is written: a moment after the last letter, one saving at a time. When somebody else saved
 * meanwhile, nothing is thrown away: both stand to choose, and the other one is kept as an earlier page.
 */
import { routes, type WrittenPageView } from '@hapset/contract';
import type { PageDocument } from '@hapset/core';
import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { call } from '../../platform/api/client.js';
import { ApiError } from '../../platform/api/problem-error.js';
import { materialKeys } from '../material/material.keys.js';
import { wordsFor } from '../../platform/wording/problems.js';

const quietMs = 800;

export type SaveState =
  | { readonly is: 'kept' }
  | { readonly is: 'dirty' | 'keeping' }
  | { readonly is: 'failed'; readonly words: string }
  | { readonly is: 'conflict'; readonly other: WrittenPageView };

export interface Autosave {
  readonly state: SaveState;
  /** Something was written. */
  readonly changed: (document: PageDocument) => void;
  /** The version moved for another reason: its title was changed. */
  readonly moved: (version: number) => void;
  /** Ends a conflict. The page that is not chosen is kept as an earlier one. */
  readonly choose: (choice: 'mine' | 'other') => Promise<PageDocument>;
  /** The next saving keeps what stood there, whatever it is. */
  readonly keepBefore: () => void;
}

export function useAutosave({ materialId, version, document }: WrittenPageView): Autosave {
  const client = useQueryClient();
  const [state, setState] = useState<SaveState>({ is: 'kept' });
  const known = useRef({ version, document });
  const latest = useRef<PageDocument>(document);
  const over = useRef(false);
  const saving = useRef<Promise<unknown>>(Promise.resolve());
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  const put = useCallback(
    async (wanted: PageDocument, atVersion: number, overOthers: boolean): Promise<void> => {
      const saved = await call(routes.saveWrittenPage, {
        params: { materialId },
        body: { version: atVersion, document: wanted, over: overOthers },
      });
      known.current = { version: saved.version, document: saved.document };
      over.current = false;
      // Wherever the page is shown, it is asked for again: also when it was left before this came back.
      void client.invalidateQueries({ queryKey: materialKeys.all });
    },
    [client, materialId],
  );

  const save = useCallback(async (): Promise<void> => {
    const wanted = latest.current;
    setState({ is: 'keeping' });
    try {
      await put(wanted, known.current.version, over.current).catch(async (error: unknown) => {
        if (!(error instanceof ApiError) || error.reason !== 'stale') throw error;
        const other = await call(routes.writtenPage, { params: { materialId } });
        // Only its title was changed: nothing stands against this saving.
        if (JSON.stringify(other.document) === JSON.stringify(known.current.document))
          return put(wanted, other.version, over.current);
        throw new Conflict(other);
      });
      setState(latest.current === wanted ? { is: 'kept' } : { is: 'dirty' });
    } catch (error) {
      setState(
        error instanceof Conflict ? { is: 'conflict', other: error.other } : { is: 'failed', words: wordsFor(error) },
      );
    }
  }, [materialId, put]);

  const changed = useCallback(
    (written: PageDocument): void => {
      latest.current = written;
      setState((before) => (before.is === 'conflict' ? before : { is: 'dirty' }));
      clearTimeout(timer.current);
      timer.current = setTimeout(() => {
        saving.current = saving.current.then(save);
      }, quietMs);
    },
    [save],
  );

  const choose = useCallback(
    async (choice: 'mine' | 'other'): Promise<PageDocument> => {
      clearTimeout(timer.current);
      await saving.current;
      const other = await call(routes.writtenPage, { params: { materialId } });
      await put(latest.current, other.version, true);
      // Taking the other one back keeps mine as an earlier page too.
      if (choice === 'other') await put(other.document, known.current.version, true);
      latest.current = known.current.document;
      setState({ is: 'kept' });
      return known.current.document;
    },
    [materialId, put],
  );

  const busy = state.is !== 'kept';
  useEffect(() => {
    if (!busy) return;
    const ask = (event: BeforeUnloadEvent): void => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [busy]);
  // Left within the application: what was not kept yet is sent at once.
  useEffect(
    () => () => {
      clearTimeout(timer.current);
      if (latest.current !== known.current.document)
        void saving.current.then(() => put(latest.current, known.current.version, over.current)).catch(() => undefined);
    },
    [put],
  );

  return {
    state,
    changed,
    choose,
    moved: useCallback((next: number) => void (known.current = { ...known.current, version: next }), []),
    keepBefore: useCallback(() => void (over.current = true), []),
  };
}

class Conflict extends Error {
  constructor(readonly other: WrittenPageView) {
    super('saved from another place meanwhile');
  }
}
