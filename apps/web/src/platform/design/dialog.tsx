import { Dialog as Primitive } from 'radix-ui';
import type { ReactElement, ReactNode } from 'react';
import { Alert } from './alert.js';
import { Button } from './button.js';

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
  return (
    <Primitive.Root open onOpenChange={(open) => !open && onClose?.()}>
      <Primitive.Portal>
        <Primitive.Overlay className="fixed inset-0 z-40 bg-ink/35" />
        <Primitive.Content
          className={`fixed top-1/2 left-1/2 z-50 max-h-[92vh] ${wide ? 'w-[min(780px,94vw)]' : 'w-[min(560px,94vw)]'} -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-sheet bg-sheet p-6 shadow-float`}
          {...(about ? {} : { 'aria-describedby': undefined })}
        >
          <Primitive.Title className="m-0 text-dialog">{title}</Primitive.Title>
          {about && <Primitive.Description className="mt-1 mb-0 text-body text-muted">{about}</Primitive.Description>}
          <div className="mt-4">{children}</div>
        </Primitive.Content>
      </Primitive.Portal>
    </Primitive.Root>
  );
}

interface EndProps {
  /** What went wrong, in words; null where nothing did. */
  readonly failure: string | null;
  readonly send: string;
  readonly disabled: boolean;
  readonly onCancel: () => void;
}

/** How a form in a dialog ends: what went wrong, the way back, and the way on. */
export function DialogEnd({ failure, send, disabled, onCancel }: EndProps): ReactElement {
  return (
    <>
      {failure !== null && <Alert words={failure} />}
      <div className="flex justify-end gap-2">
        <Button onClick={onCancel}>Cancel</Button>
        <Button type="submit" tone="main" disabled={disabled}>
          {send}
        </Button>
      </div>
    </>
  );
}
