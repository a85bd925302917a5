/** Notices at the foot of the page: what was done, with a way to undo it. Ctrl+Z undoes what was done last on the page. */
import { Toast } from 'radix-ui';
import { createContext, useCallback, useContext, useMemo, useState, type ReactElement, type ReactNode } from 'react';
import { usePageKey } from './page-key.js';
import { UndoStack, type Undoable } from './undo-stack.js';
import { t } from '../language/words.js';

export interface Notice {
  readonly words: string;
  readonly undo?: () => void;
  /** Page that the action leads to; the one that is open unless given. */
  readonly page?: string;
  /** It is seen without words, and can be undone all the same. */
  readonly quiet?: boolean;
}

interface Shown {
  readonly id: number;
  readonly words: string;
  readonly undoable: Undoable | null;
}

const ChangeSentContext = createContext<(change: Promise<unknown>) => void>(() => undefined);
const NoticeContext = createContext<(notice: Notice) => void>(() => undefined);

/** Shows a notice; the one before goes. */
export function useNotice(): (notice: Notice) => void {
  return useContext(NoticeContext);
}

/** Tells of a change that was sent: Ctrl+Z waits until it is answered, since it is what was done last. */
export function useChangeSent(): (change: Promise<unknown>) => void {
  return useContext(ChangeSentContext);
}

export function NoticeProvider({ children }: { readonly children: ReactNode }): ReactElement {
  const { shown, show, hide, undo, changeSent } = useNotices();
  useUndoKey(undo);
  return (
    <NoticeContext value={show}>
      <ChangeSentContext value={changeSent}>{children}</ChangeSentContext>
      <Toast.Provider duration={9000} swipeDirection="down" label={t('notice.notice')}>
        {shown && (
          <Toast.Root
            key={shown.id}
            open
            onOpenChange={(open) => !open && hide()}
            className="flex items-center gap-3 rounded-small bg-ink px-4 py-2.5 text-body text-sheet shadow-float"
          >
            <Toast.Description>{shown.words}</Toast.Description>
            {shown.undoable && (
              <Toast.Action
                altText={t('notice.undo')}
                className="min-h-8 rounded-step px-2 font-semibold text-marker-reversed hover:bg-sheet/10"
                onClick={() => {
                  undo(shown.undoable);
                  hide();
                }}
              >
                {t('notice.undo')}
              </Toast.Action>
            )}
          </Toast.Root>
        )}
        <Toast.Viewport className="fixed bottom-5 left-1/2 z-50 m-0 flex w-max max-w-[94vw] -translate-x-1/2 list-none flex-col p-0" />
      </Toast.Provider>
    </NoticeContext>
  );
}

interface Notices {
  readonly shown: Shown | null;
  readonly show: (notice: Notice) => void;
  readonly hide: () => void;
  /** Undoes an action, or the last one of the page that is open where none is given. */
  readonly undo: (action: Undoable | null) => boolean;
  readonly changeSent: (change: Promise<unknown>) => void;
}

function useNotices(): Notices {
  const [shown, setShown] = useState<Shown | null>(null);
  const [stack] = useState(() => new UndoStack());
  const say = useCallback(
    (words: string, undoable: Undoable | null) =>
      setShown((before) => ({ id: (before?.id ?? 0) + 1, words, undoable })),
    [],
  );
  const show = useCallback(
    ({ words, undo, quiet = false, page = location.pathname }: Notice) => {
      const undoable = undo ? { words, undo, page } : null;
      if (undoable) stack.add(undoable);
      if (!quiet) say(words, undoable);
    },
    [stack, say],
  );
  const undo = useCallback(
    (action: Undoable | null): boolean => {
      const take = (last: Undoable): void => {
        stack.remove(last);
        last.undo();
        if (!action) say(t('notice.undone', { words: last.words }), null);
      };
      if (!action && stack.isWaiting) {
        void stack.takeLastWhenAnswered(location.pathname).then((last) => last && take(last));
        return true;
      }
      const last = action ?? stack.takeLast(location.pathname);
      if (last) take(last);
      return last !== null;
    },
    [stack, say],
  );
  const hide = useMemo(() => () => setShown(null), []);
  const changeSent = useCallback((change: Promise<unknown>) => stack.changeSent(change), [stack]);
  return { shown, show, hide, undo, changeSent };
}

/** In a field, the browser undoes what was typed; in a dialog, nothing is done yet. */
function useUndoKey(undo: Notices['undo']): void {
  usePageKey((event) => {
    const { target, key, ctrlKey, metaKey, shiftKey, altKey } = event;
    const isUndo = key.toLowerCase() === 'z' && (ctrlKey || metaKey) && !shiftKey && !altKey;
    const inDialog = target instanceof HTMLElement && target.closest('[role=dialog]') !== null;
    if (isUndo && !inDialog && undo(null)) event.preventDefault();
  });
}
