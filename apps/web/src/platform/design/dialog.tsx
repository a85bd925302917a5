import { Dialog as Primitive } from 'radix-ui';
import { useCallback, useContext, useRef, useState, type ReactElement, type ReactNode } from 'react';
import { Alert } from './alert.js';
import { Button } from './button.js';
import { SavesWaitContext } from './saves-wait.js';
import { UnsavedContext, type NoteUnsaved } from './unsaved.js';
import { t } from '../language/words.js';

interface Props {
  readonly title: string;
  /** One sentence under the title; read aloud when the dialog opens. */
  readonly about?: string;
  /** For forms with something beside them. */
  readonly wide?: boolean;
  /** Called when it is closed by Escape, the backdrop or a button; without it the dialog can't be closed. */
  readonly onClose?: () => void;
  readonly children: ReactNode;
}

export function Dialog({ title, about, wide = false, onClose, children }: Props): ReactElement {
  const [opener] = useState(openerNow);
  const unsaved = useRef<(() => void) | null>(null);
  const [asks, setAsks] = useState(false);
  const noteOnPage = useContext(UnsavedContext);
  const note = useCallback<NoteUnsaved>(
    (discard) => {
      unsaved.current = discard;
      const forget = noteOnPage(discard);
      return () => {
        unsaved.current = null;
        forget();
      };
    },
    [noteOnPage],
  );
  const close = (): void => (unsaved.current && !asks ? setAsks(true) : onClose?.());
  return (
    <Primitive.Root open onOpenChange={(open) => !open && close()}>
      <Primitive.Portal>
        <Primitive.Overlay className="fixed inset-0 z-40 bg-shade" />
        <Primitive.Content
          className={`fixed top-1/2 left-1/2 z-50 max-h-[92vh] ${wide ? 'w-[min(780px,94vw)]' : 'w-[min(560px,94vw)]'} -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-sheet bg-sheet p-6 shadow-float`}
          onCloseAutoFocus={(event) => {
            // The library knows no trigger here, and would leave the focus to nobody.
            event.preventDefault();
            opener?.focus();
          }}
          {...(about ? {} : { 'aria-describedby': undefined })}
        >
          <Primitive.Title className="m-0 text-dialog">{title}</Primitive.Title>
          {about && <Primitive.Description className="mt-1 mb-0 text-body text-muted">{about}</Primitive.Description>}
          {asks && (
            <Ask
              onStay={() => setAsks(false)}
              onDiscard={() => {
                unsaved.current?.();
                onClose?.();
              }}
            />
          )}
          <UnsavedContext value={note}>
            <div className="mt-4">{children}</div>
          </UnsavedContext>
        </Primitive.Content>
      </Primitive.Portal>
    </Primitive.Root>
  );
}

/** Asked once; Escape again keeps a draft and closes. */
function Ask({ onStay, onDiscard }: { readonly onStay: () => void; readonly onDiscard: () => void }): ReactElement {
  return (
    <div
      role="alert"
      className="mt-4 flex flex-wrap items-center gap-2 rounded-small border border-look bg-look-soft px-3.5 py-2.5 text-body"
    >
      <span className="min-w-40 flex-1 font-semibold">{t('dialog.youHaveNotSavedThis')}</span>
      <Button autoFocus onClick={onStay}>
        {t('dialog.keepEditing')}
      </Button>
      <Button onClick={onDiscard}>{t('dialog.discard')}</Button>
    </div>
  );
}

/** What has the focus as the dialog opens; the button of a menu for one of its entries, which is gone by the end. */
function openerNow(): HTMLElement | null {
  const active = document.activeElement;
  const menu = active?.closest('[role=menu]')?.getAttribute('aria-labelledby');
  const button = menu ? document.getElementById(menu) : null;
  return button ?? (active instanceof HTMLElement ? active : null);
}

interface EndProps {
  /** What went wrong, in words; null where nothing did. */
  readonly failure: string | null;
  readonly send: string;
  /** It was sent and is not answered yet. */
  readonly sending: boolean;
  /** It can’t be sent as it is. */
  readonly disabled?: boolean;
  readonly onCancel: () => void;
}

/** How a form in a dialog ends: what went wrong, the way back, and the way on. */
export function DialogEnd({ failure, send, sending, disabled = false, onCancel }: EndProps): ReactElement {
  const waits = useContext(SavesWaitContext) && sending;
  return (
    <>
      {failure !== null && <Alert words={failure} />}
      {waits && (
        <p role="status" className="m-0 text-row font-semibold">
          {t('dialog.theServerCantBeReached')}
        </p>
      )}
      <div className="flex justify-end gap-2">
        <Button onClick={onCancel}>{waits ? t('dialog.close') : t('dialog.cancel')}</Button>
        <Button type="submit" tone="main" disabled={sending || disabled}>
          {send}
        </Button>
      </div>
    </>
  );
}
