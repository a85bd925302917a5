/**
 * Keeps a page while it is written: a moment after the last letter, one saving at a time. When somebody else saved
 * meanwhile, nothing is thrown away: both stand to choose, and the other one is kept as an earlier page.
 */
import type { WrittenPageView } from '@hapset/contract';
import type { PageDocument } from '@hapset/core';
import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useAskBeforeLeaving } from '../../platform/leaving/use-ask-before-leaving.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { materialKeys } from '../material/material.keys.js';
import { PageConflict, PageSaver } from './page-saver.js';

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
  const [state, setState] = useState<SaveState>({ is: 'kept' });
  const saver = useSaver(materialId, version, document);
  const latest = useRef<PageDocument>(document);
  const saving = useRef<Promise<unknown>>(Promise.resolve());
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  const saveLatest = useCallback(async (): Promise<void> => {
    const wanted = latest.current;
    setState({ is: 'keeping' });
    try {
      await saver.save(wanted);
      setState(latest.current === wanted ? { is: 'kept' } : { is: 'dirty' });
    } catch (error) {
      setState(
        error instanceof PageConflict
          ? { is: 'conflict', other: error.other }
          : { is: 'failed', words: wordsFor(error) },
      );
    }
  }, [saver]);

  const changed = useCallback(
    (written: PageDocument): void => {
      latest.current = written;
      setState((before) => (before.is === 'conflict' ? before : { is: 'dirty' }));
      clearTimeout(timer.current);
      timer.current = setTimeout(() => {
        saving.current = saving.current.then(saveLatest);
      }, quietMs);
    },
    [saveLatest],
  );

  const choose = useCallback(
    async (choice: 'mine' | 'other'): Promise<PageDocument> => {
      clearTimeout(timer.current);
      await saving.current;
      await saver.settle(latest.current, choice);
      latest.current = saver.document;
      setState({ is: 'kept' });
      return saver.document;
    },
    [saver],
  );

  useAskBeforeLeaving(state.is !== 'kept');
  // Left within the application: what was not kept yet is sent at once.
  useEffect(
    () => () => {
      clearTimeout(timer.current);
      if (latest.current !== saver.document)
        void saving.current.then(() => saver.save(latest.current)).catch(() => undefined);
    },
    [saver],
  );

  return {
    state,
    changed,
    choose,
    moved: useCallback((next: number) => saver.moved(next), [saver]),
    keepBefore: useCallback(() => saver.keepBefore(), [saver]),
  };
}

/** Wherever the page is shown, it is asked for again once it was saved: also when it was left before an answer came back. */
function useSaver(materialId: string, version: number, document: PageDocument): PageSaver {
  const client = useQueryClient();
  const onSaved = (): void => void client.invalidateQueries({ queryKey: materialKeys.all });
  const [saver] = useState(() => new PageSaver(materialId, { version, document }, onSaved));
  return saver;
}
