/** Notices at the foot of the page: what was done, with a way to undo it. */
import { Toast } from 'radix-ui';
import { createContext, useCallback, useContext, useMemo, useState, type ReactElement, type ReactNode } from 'react';

export interface Notice {
  readonly words: string;
  readonly undo?: () => void;
}

const NoticeContext = createContext<(notice: Notice) => void>(() => undefined);

/** Shows a notice; the one before goes. */
export function useNotice(): (notice: Notice) => void {
  return useContext(NoticeContext);
}

export function NoticeProvider({ children }: { readonly children: ReactNode }): ReactElement {
  const [shown, setShown] = useState<(Notice & { readonly id: number }) | null>(null);
  const show = useCallback((notice: Notice) => setShown((before) => ({ ...notice, id: (before?.id ?? 0) + 1 })), []);
  const hide = useMemo(() => () => setShown(null), []);
  return (
    <NoticeContext value={show}>
      <Toast.Provider duration={9000} swipeDirection="down" label="Notice">
        {children}
        {shown && (
          <Toast.Root
            key={shown.id}
            open
            onOpenChange={(open) => !open && hide()}
            className="flex items-center gap-3 rounded-small bg-ink px-4 py-2.5 text-body text-sheet shadow-float"
          >
            <Toast.Description>{shown.words}</Toast.Description>
            {shown.undo && (
              <Toast.Action
                altText="Undo"
                className="min-h-8 rounded-step px-2 font-semibold text-marker hover:bg-sheet/10"
                onClick={() => {
                  shown.undo?.();
                  hide();
                }}
              >
                Undo
              </Toast.Action>
            )}
          </Toast.Root>
        )}
        <Toast.Viewport className="fixed bottom-5 left-1/2 z-50 m-0 flex w-max max-w-[94vw] -translate-x-1/2 list-none flex-col p-0" />
      </Toast.Provider>
    </NoticeContext>
  );
}
