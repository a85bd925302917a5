/** How a notice looks, and is read aloud. */
import { Toast } from 'radix-ui';
import type { ReactElement } from 'react';
import { t } from '../language/words.js';
import type { Undoable } from './undo-stack.js';

/** A notice that is on the page. */
export interface Shown {
  readonly id: number;
  readonly words: string;
  readonly undoable: Undoable | null;
}

export function NoticeToast({
  shown,
  onUndo,
  onHide,
}: {
  readonly shown: Shown;
  readonly onUndo: (action: Undoable | null) => void;
  readonly onHide: () => void;
}): ReactElement {
  return (
    <Toast.Provider duration={9000} swipeDirection="down" label={t('notice.notice')}>
      <Toast.Root
        key={shown.id}
        open
        onOpenChange={(open) => !open && onHide()}
        className="flex items-center gap-3 rounded-small bg-ink px-4 py-2.5 text-body text-sheet shadow-float"
      >
        <Toast.Description>{shown.words}</Toast.Description>
        {shown.undoable && (
          <Toast.Action
            altText={t('notice.undo')}
            className="min-h-8 rounded-step px-2 font-semibold text-marker-reversed hover:bg-sheet/10"
            onClick={() => {
              onUndo(shown.undoable);
              onHide();
            }}
          >
            {t('notice.undo')}
          </Toast.Action>
        )}
      </Toast.Root>
      <Toast.Viewport className="fixed bottom-5 left-1/2 z-50 m-0 flex w-max max-w-[94vw] -translate-x-1/2 list-none flex-col p-0" />
    </Toast.Provider>
  );
}
