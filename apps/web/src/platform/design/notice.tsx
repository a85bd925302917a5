/** Notices at the foot of the page: what was done, with a way to undo it. Ctrl+Z undoes what was done last on the page. */
import {
  createContext,
  lazy,
  Suspense,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useState,
  type ReactElement,
  type ReactNode,
} from 'react';
import type { Shown } from './notice-toast.js';
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

// The page is there before anything can be told.
const loadToast = () => import('./notice-toast.js');
const NoticeToast = lazy(() => loadToast().then(({ NoticeToast: component }) => ({ default: component })));

type ChangeSent = UndoStack['changeSent'];

const ChangeSentContext = createContext<ChangeSent>(() => undefined);
const NoticeContext = createContext<(notice: Notice) => void>(() => undefined);

/** Shows a notice; the one before goes. */
export function useNotice(): (notice: Notice) => void {
  return useContext(NoticeContext);
}

/** Tells of a change that was sent: Ctrl+Z waits until it is answered, since it is what was done last. */
export function useChangeSent(): ChangeSent {
  return useContext(ChangeSentContext);
}

export function NoticeProvider({ children }: { readonly children: ReactNode }): ReactElement {
  const { shown, show, hide, undo, changeSent } = useNotices();
  useUndoKey(undo);
  // Should it fail, the next notice asks again.
  useEffect(() => void loadToast().catch(() => undefined), []);
  return (
    <NoticeContext value={show}>
      <ChangeSentContext value={changeSent}>{children}</ChangeSentContext>
      <Suspense>{shown && <NoticeToast shown={shown} onUndo={undo} onHide={hide} />}</Suspense>
    </NoticeContext>
  );
}

interface Notices {
  readonly shown: Shown | null;
  readonly show: (notice: Notice) => void;
  readonly hide: () => void;
  /** Undoes an action, or the last one of the page that is open where none is given. */
  readonly undo: (action: Undoable | null) => boolean;
  readonly changeSent: ChangeSent;
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
      const take = (last: Undoable | null): boolean => {
        if (!last) return false;
        stack.remove(last);
        last.undo();
        if (!action) say(t('notice.undone', { words: last.words }), null);
        return true;
      };
      const page = location.pathname;
      if (action || !stack.isWaiting) return take(action ?? stack.takeLast(page));
      stack.whenAnswered(() => take(stack.takeLast(page)));
      return true;
    },
    [stack, say],
  );
  const hide = useMemo(() => () => setShown(null), []);
  const changeSent: ChangeSent = useCallback((...sent) => stack.changeSent(...sent), [stack]);
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
