/** A student in the list, and what can be done with one. */
import type { StudentView } from '@hapset/contract';
import { MoreHorizontal } from 'lucide';
import { useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { Icon } from '../../platform/design/icon.js';
import { Menu, type MenuEntry } from '../../platform/design/menu.js';
import { useNotice } from '../../platform/design/notice.js';
import { ago } from '../../platform/wording/figures.js';
import { useConfirmedDownload } from '../../school/account/confirmed-download.js';
import { ChangeStudentDialog } from './change-student.js';
import { useChangeStudent, useEraseStudent, useReplaceCard } from './roster.queries.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

export function StudentRow({
  student,
  mayErase,
}: {
  readonly student: StudentView;
  readonly mayErase: boolean;
}): ReactElement {
  const { name, className, year, schoolId, left, cardMadeAt, edited } = student;
  const [open, setOpen] = useState<'change' | 'erase' | null>(null);
  const entries = useEntries(student);
  const saveCopy = useConfirmedDownload();
  return (
    <li className="flex items-center gap-x-4 border-b border-line px-4 py-2 last:border-b-0">
      <span className="grid min-w-0 flex-1 gap-x-4 sm:grid-cols-[minmax(0,1fr)_120px_110px_170px] sm:items-center">
        <span className="flex min-w-0 items-baseline gap-2">
          <span className="truncate text-lead font-semibold">{name}</span>
          {Object.keys(edited).length > 0 && <span className="text-note text-muted">{t('studentRow.edited')}</span>}
        </span>
        <span className="truncate text-row text-muted">
          {[className, year].filter((part) => part !== '').join(' · ')}
        </span>
        <span className="truncate font-mono text-small text-muted">{schoolId ?? ''}</span>
        <span className="text-small text-muted">
          {left
            ? t('studentRow.leftTheSchool')
            : cardMadeAt === null
              ? t('studentRow.noCardYet')
              : t('studentRow.cardPrinted', { ago: ago(cardMadeAt) })}
        </span>
      </span>
      <Menu
        label={t('studentRow.moreAbout', { name })}
        entries={[
          { label: t('studentRow.change'), onSelect: () => setOpen('change') },
          ...entries,
          ...(mayErase
            ? [
                { label: t('studentRow.saveEverything'), onSelect: () => saveCopy(`/api/students/${student.id}/copy`) },
                { label: t('studentRow.eraseWithAllTraces'), danger: true, onSelect: () => setOpen('erase') },
              ]
            : []),
        ]}
      >
        <Icon icon={MoreHorizontal} size={18} />
      </Menu>
      {open === 'change' && <ChangeStudentDialog student={student} onClose={() => setOpen(null)} />}
      {open === 'erase' && <EraseStudent student={student} onClose={() => setOpen(null)} />}
    </li>
  );
}

/** What happens at once, and is told. */
function useEntries({ id, name, left, cardMadeAt, version }: StudentView): readonly MenuEntry[] {
  const change = useChangeStudent(id);
  const replace = useReplaceCard();
  const notice = useNotice();
  const sendChange = useSendChange();
  const told = (words: string) => ({ onSuccess: () => notice({ words }) });
  return [
    {
      label: t('studentRow.cardLost'),
      disabled: cardMadeAt === null,
      onSelect: () => sendChange(replace, id, told(t('studentRow.sCardIsNoLonger', { name }))),
    },
    {
      label: left ? t('studentRow.isBack') : t('studentRow.leftTheSchool2'),
      onSelect: () =>
        sendChange(
          change,
          { version, left: !left },
          told(left ? t('studentRow.isBack2', { name }) : t('studentRow.leftTheSchool3', { name })),
        ),
    },
  ];
}

function EraseStudent({
  student: { id, name },
  onClose,
}: {
  readonly student: StudentView;
  readonly onClose: () => void;
}): ReactElement {
  const erase = useEraseStudent();
  const sendChange = useSendChange();
  return (
    <Dialog
      title={t('studentRow.erase', { name })}
      about={t('studentRow.nameCardsReadingsAndImport')}
      onClose={onClose}
    >
      <div className="flex justify-end gap-2">
        <Button onClick={onClose}>{t('studentRow.cancel')}</Button>
        <Button tone="main" disabled={erase.isPending} onClick={() => sendChange(erase, id)}>
          {t('studentRow.erase2')}
        </Button>
      </div>
    </Dialog>
  );
}
