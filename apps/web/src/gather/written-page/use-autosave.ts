/**
 * Keeps a page while it is written: a moment after the last letter, one saving at a time. When somebody else saved
 * meanwhile, nothing is thrown away: both stand to choose, and the other one is kept as an earlier page.
 */
import type { WrittenPageView } from '@hapset/contract';
import type { PageDocument } from '@hapset/core';
import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { DraftKeeper } from '../../platform/draft/draft-keeper.js';
import { serverState } from '../../platform/api/server-state.js';
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

/** @param draft where it is kept in this browser until the server has it */
export function useAutosave({ materialId, version, document }: WrittenPageView, draft: DraftKeeper): Autosave {
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
      if (latest.current === wanted) draft.remove();
      setState(latest.current === wanted ? { is: 'kept' } : { is: 'dirty' });
    } catch (error) {
      setState(
        error instanceof PageConflict
          ? { is: 'conflict', other: error.other }
          : { is: 'failed', words: wordsFor(error) },
      );
    }
  }, [saver, draft]);

  const changed = useCallback(
    (written: PageDocument): void => {
      latest.current = written;
      draft.keepSoon(written);
      setState((before) => (before.is === 'conflict' ? before : { is: 'dirty' }));
      clearTimeout(timer.current);
      timer.current = setTimeout(() => {
        saving.current = saving.current.then(saveLatest);
      }, quietMs);
    },
    [saveLatest, draft],
  );

  const choose = useCallback(
    async (choice: 'mine' | 'other'): Promise<PageDocument> => {
      clearTimeout(timer.current);
      await saving.current;
      await saver.settle(latest.current, choice);
      latest.current = saver.document;
      draft.remove();
      setState({ is: 'kept' });
      return saver.document;
    },
    [saver, draft],
  );

  const saveAgain = useCallback(() => void (saving.current = saving.current.then(saveLatest)), [saveLatest]);
  useOnReturn(state.is === 'failed', saveAgain);
  useAskBeforeLeaving(state.is !== 'kept');
  // Left within the application: what was not kept yet is sent at once.
  useEffect(
    () => () => {
      clearTimeout(timer.current);
      if (latest.current !== saver.document) void saving.current.then(() => saveLast(saver, latest.current, draft));
    },
    [saver, draft],
  );

  const moved = useCallback((next: number) => saver.moved(next), [saver]);
  const keepBefore = useCallback(() => saver.keepBefore(), [saver]);
  return { state, changed, choose, moved, keepBefore };
}

/** Once the server answers again, as long as something failed. */
function useOnReturn(failed: boolean, act: () => void): void {
  useEffect(() => (failed ? serverState.onReturn(act) : undefined), [failed, act]);
}

/** Nobody is there to be told of a failure; the draft is offered at the next visit. */
async function saveLast(saver: PageSaver, document: PageDocument, draft: DraftKeeper): Promise<void> {
  try {
    await saver.save(document);
    draft.remove();
  } catch {
    return;
  }
}

/** Wherever the page is shown, it is asked for again once it was saved: also when it was left before an answer came back. */
function useSaver(materialId: string, version: number, document: PageDocument): PageSaver {
  const client = useQueryClient();
  const onSaved = (): void => void client.invalidateQueries({ queryKey: materialKeys.all });
  const [saver] = useState(() => new PageSaver(materialId, { version, document }, onSaved));
  return saver;
}
