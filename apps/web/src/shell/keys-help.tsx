import { useEffect, useState, type ReactElement } from 'react';
import { Dialog } from '../design/dialog.js';

const keys = [
  ['/', 'Find something on the shelf'],
  ['Ctrl V', 'Paste links anywhere on a bench, the shelf or the start page'],
  ['Tab', 'Go from field to field'],
  ['Space, then ↑ ↓', 'On a station’s number: move it, Space again to put it down'],
  ['Enter', 'Open what has the focus, or keep what was typed'],
  ['Esc', 'Close, or leave as it was'],
  ['?', 'This list'],
] as const;

/** `?` lists the keys. */
export function KeysHelp(): ReactElement | null {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      const target = event.target;
      if (event.key === '?' && !(target instanceof HTMLElement && target.closest('input, textarea, select'))) setOpen(true);
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, []);
  if (!open) return null;
  return (
    <Dialog title="Keys" onClose={() => setOpen(false)}>
      <dl className="m-0 grid grid-cols-[auto_1fr] gap-x-4 gap-y-2.5 text-[14.5px]">
        {keys.map(([key, words]) => (
          <div key={key} className="contents">
            <dt>
              <kbd className="rounded-[5px] border border-line-strong bg-paper px-2 py-0.5 font-mono text-[13px] whitespace-nowrap">{key}</kbd>
            </dt>
            <dd className="m-0">{words}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}
