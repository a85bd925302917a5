/** Students row by row; the office chooses several, who leave together or are back. */
import { limits, type StudentView } from '@hapset/contract';
import { useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { useNotice } from '../../platform/design/notice.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';
import { useLeaveStudents } from './roster.queries.js';
import { StudentRow } from './student-row.js';

export function StudentList({
  rows,
  mayRule,
  left,
}: {
  readonly rows: readonly StudentView[];
  readonly mayRule: boolean;
  /** Those who left are listed. */
  readonly left: boolean;
}): ReactElement {
  const [marked, setMarked] = useState<ReadonlySet<string>>(new Set());
  // Who is no longer listed is not meant.
  const chosen = rows.filter(({ id }) => marked.has(id)).slice(0, limits.studentsAtOnce);
  const choose = (id: string, isChosen: boolean): void =>
    setMarked(new Set(isChosen ? [...marked, id] : [...marked].filter((one) => one !== id)));
  return (
    <>
      {chosen.length > 0 && (
        <WithChosen
          chosen={chosen}
          left={left}
          onAll={() => setMarked(new Set(rows.map(({ id }) => id)))}
          onNone={() => setMarked(new Set())}
        />
      )}
      <ul
        className="m-0 list-none overflow-hidden rounded-sheet border border-line bg-sheet p-0"
        aria-label={t('studentsPage.students')}
      >
        {rows.map((student) => (
          <StudentRow
            key={student.id}
            student={student}
            mayErase={mayRule}
            chosen={mayRule ? marked.has(student.id) : null}
            onChoose={(isChosen) => choose(student.id, isChosen)}
          />
        ))}
      </ul>
    </>
  );
}

function WithChosen({
  chosen,
  left,
  onAll,
  onNone,
}: {
  readonly chosen: readonly StudentView[];
  readonly left: boolean;
  readonly onAll: () => void;
  readonly onNone: () => void;
}): ReactElement {
  const leave = useLeaveStudents();
  const notice = useNotice();
  const sendChange = useSendChange();
  const count = chosen.length;
  const studentIds = chosen.map(({ id }) => id);
  const send = (): void =>
    sendChange(
      leave,
      { studentIds, left: !left },
      {
        onSuccess: () => {
          onNone();
          notice({
            words: left ? t('studentList.areBack', { count }) : t('studentList.haveLeft', { count }),
            undo: () => sendChange(leave, { studentIds, left }),
          });
        },
      },
    );
  return (
    <div
      className="mb-2 flex flex-wrap items-center gap-2.5 text-row"
      role="group"
      aria-label={t('studentList.chosen')}
    >
      <strong>{t('studentList.chosenCount', { count })}</strong>
      <Button tone="main" disabled={leave.isPending} onClick={send}>
        {left ? t('studentList.markAsBack') : t('studentList.markAsLeft')}
      </Button>
      <Button onClick={onAll}>{t('studentList.chooseAllListed')}</Button>
      <Button onClick={onNone}>{t('studentList.chooseNone')}</Button>
    </div>
  );
}
