/** A student in the list, and what can be done with one. */
import { routes, type StudentView } from '@hapset/contract';
import { MoreHorizontal } from 'lucide';
import { useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { Icon } from '../../platform/design/icon.js';
import { CheckBox } from '../../platform/design/inputs.js';
import { Menu, type MenuEntry } from '../../platform/design/menu.js';
import { useNotice } from '../../platform/design/notice.js';
import { addressOf } from '../../platform/api/client.js';
import { ago } from '../../platform/wording/figures.js';
import { useConfirmedDownload } from '../../school/account/confirmed-download.js';
import { ChangeStudentDialog } from './change-student.js';
import { LostCardDialog } from './lost-card.js';
import { useChangeStudent, useEraseStudent, useRemovePhoto } from './roster.queries.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

export function StudentRow({
  student,
  mayErase,
  chosen,
  onChoose,
}: {
  readonly student: StudentView;
  readonly mayErase: boolean;
  /** Null where nobody can be chosen. */
  readonly chosen: boolean | null;
  readonly onChoose: (chosen: boolean) => void;
}): ReactElement {
  const { name, cardMadeAt, cardLostAt } = student;
  const [open, setOpen] = useState<'change' | 'erase' | 'lost' | null>(null);
  const leave = useLeaveEntry(student);
  const saveCopy = useConfirmedDownload();
  const removePhoto = useRemovePhoto();
  const sendChange = useSendChange();
  return (
    <li className="flex items-center gap-x-4 border-b border-line px-4 py-2 last:border-b-0">
      <Photo student={student} />
      {chosen !== null && (
        <CheckBox
          aria-label={t('studentRow.choose', { name })}
          checked={chosen}
          onChange={(event) => onChoose(event.target.checked)}
        />
      )}
      <Facts student={student} />
      <Menu
        label={t('studentRow.moreAbout', { name })}
        entries={[
          { label: t('studentRow.change'), onSelect: () => setOpen('change') },
          {
            label: t('studentRow.cardLost'),
            disabled: cardMadeAt === null && cardLostAt === null,
            onSelect: () => setOpen('lost'),
          },
          leave,
          ...(mayErase && student.photoAt !== null
            ? [{ label: t('studentRow.removePhoto'), onSelect: () => sendChange(removePhoto, student.id) }]
            : []),
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
      {open === 'lost' && <LostCardDialog student={student} onClose={() => setOpen(null)} />}
    </li>
  );
}

function Photo({ student: { id, photoAt } }: { readonly student: StudentView }): ReactElement | null {
  if (photoAt === null) return null;
  return (
    <img
      src={`${addressOf(routes.studentPhoto, { studentId: id })}?${photoAt}`}
      alt=""
      loading="lazy"
      className="order-first h-10 w-8 shrink-0 rounded-small object-cover"
    />
  );
}

function Facts({ student }: { readonly student: StudentView }): ReactElement {
  const { name, className, year, schoolId, edited } = student;
  return (
    <span className="grid min-w-0 flex-1 gap-x-4 sm:grid-cols-[minmax(0,1fr)_120px_110px_170px] sm:items-center">
      <span className="flex min-w-0 items-baseline gap-2">
        <span className="truncate text-lead font-semibold">{name}</span>
        {Object.keys(edited).length > 0 && <span className="text-note text-muted">{t('studentRow.edited')}</span>}
      </span>
      <span className="truncate text-row text-muted">
        {[className, year].filter((part) => part !== '').join(' · ')}
      </span>
      <span className="truncate font-mono text-small text-muted">{schoolId ?? ''}</span>
      <span className="text-small text-muted">{cardWords(student)}</span>
    </span>
  );
}

function cardWords({ left, cardMadeAt, cardLostAt }: StudentView): string {
  if (left) return t('studentRow.leftTheSchool');
  if (cardMadeAt !== null) return t('studentRow.cardPrinted', { ago: ago(cardMadeAt) });
  return cardLostAt === null ? t('studentRow.noCardYet') : t('studentRow.cardLostSince', { ago: ago(cardLostAt) });
}

/** Happens at once, and is told. */
function useLeaveEntry({ id, name, left, version }: StudentView): MenuEntry {
  const change = useChangeStudent(id);
  const notice = useNotice();
  const sendChange = useSendChange();
  return {
    label: left ? t('studentRow.isBack') : t('studentRow.leftTheSchool2'),
    onSelect: () =>
      sendChange(
        change,
        { version, left: !left },
        {
          onSuccess: () =>
            notice({ words: left ? t('studentRow.isBack2', { name }) : t('studentRow.leftTheSchool3', { name }) }),
        },
      ),
  };
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
