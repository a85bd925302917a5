import type { ReactElement } from 'react';
import { Dialog } from '../../platform/design/dialog.js';
import { t } from '../words.js';

const keys = [
  ['/', t('keysHelp.findALessonAStation')],
  [t('keysHelp.ctrlV'), t('keysHelp.pasteLinksAnywhereOnA')],
  [t('keysHelp.ctrlZ'), t('keysHelp.undoYourLastChangeOn')],
  ['Tab', t('keysHelp.goFromFieldToField')],
  [t('keysHelp.spaceThen'), t('keysHelp.onAStationsNumberMove')],
  ['Enter', t('keysHelp.openOrSaveTheSelected')],
  [t('keysHelp.esc'), t('keysHelp.closeWithoutSaving')],
  ['?', t('keysHelp.showThisList')],
] as const;

/** The list of keys. */
export function KeysHelp({ onClose }: { readonly onClose: () => void }): ReactElement {
  return (
    <Dialog title={t('keysHelp.keyboardShortcuts')} onClose={onClose}>
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
