import { isField } from '../../platform/design/page-key.js';
import { useEffect, useRef } from 'react';
import { textOfClipboard } from './rich-text.js';

/** Ctrl+V anywhere on the page lands in the intake, unless another field has the cursor. */
export function usePasteAnywhere(take: (text: string) => void, takeFiles: (files: readonly File[]) => void): void {
  const latest = useRef({ take, takeFiles });
  useEffect(() => {
    latest.current = { take, takeFiles };
  });
  useEffect(() => {
    const paste = (event: ClipboardEvent): void => {
      const target = event.target;
      // Pictures of the clipboard are kept wherever they are pasted: no field could take them.
      const files = [...(event.clipboardData?.files ?? [])];
      if (files.length > 0 && !(target instanceof HTMLElement && target.closest('[contenteditable]'))) {
        event.preventDefault();
        latest.current.takeFiles(files);
        return;
      }
      if (isField(target)) return;
      const text = textOfClipboard(event.clipboardData);
      if (text.trim() === '') return;
      event.preventDefault();
      latest.current.take(text);
    };
    document.addEventListener('paste', paste);
    return () => document.removeEventListener('paste', paste);
  }, []);
}
