import type { ReactElement } from 'react';
import { Dialog } from '../../platform/design/dialog.js';

const keys = [
  ['/', 'Find a lesson, a station or a material'],
  ['Ctrl V', 'Paste links anywhere on a bench, the shelf or the start page'],
  ['Ctrl Z', 'Undo what you did last on this page'],
  ['Tab', 'Go from field to field'],
  ['Space, then ↑ ↓', 'On a station’s number: move it, Space again to put it down'],
  ['Enter', 'Open what has the focus, or keep what was typed'],
  ['Esc', 'Close, or leave as it was'],
  ['?', 'This list'],
] as const;

/** The list of keys. */
export function KeysHelp({ onClose }: { readonly onClose: () => void }): ReactElement {
  return (
    <Dialog title="Keys" onClose={onClose}>
      <dl className="m-0 grid grid-cols-[auto_1fr] gap-x-4 gap-y-2.5 text-body">
        {keys.map(([key, words]) => (
          <div key={key} className="contents">
            <dt>
              <kbd className="rounded-fine border border-line-strong bg-paper px-2 py-0.5 font-mono text-note whitespace-nowrap">
                {key}
              </kbd>
            </dt>
            <dd className="m-0">{words}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}
