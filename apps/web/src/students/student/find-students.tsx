/** What narrows the list of students, and what can be done with all that it shows. */
import { ConfirmedDownload } from '../../school/account/confirmed-download.js';
import { routes, type StudentGroup, type StudentGroups } from '@hapset/contract';
import { useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { studentsSearch, useEraseStudents, useLeaveClass, type StudentsRequest } from './roster.queries.js';
import { LineSelect } from '../../platform/design/field.js';
import { SearchInput } from '../../platform/design/inputs.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

export function FindStudents({
  request,
  onRequest,
  groups,
  mayRule,
}: {
  readonly request: StudentsRequest;
  readonly onRequest: (request: StudentsRequest) => void;
  readonly groups: StudentGroups | undefined;
  readonly mayRule: boolean;
}): ReactElement {
  return (
    <div className="mb-3 flex flex-wrap items-center gap-2.5">
      <SearchInput
        label={t('findStudents.findAStudent')}
        placeholder={t('findStudents.findByNameIdOr')}
        value={request.find}
        onFind={(find) => onRequest({ ...request, find: find })}
      />
      <LineSelect
        label={t('findStudents.class')}
        value={request.className ?? ''}
        onChoose={(className) => onRequest({ ...request, className: className || null })}
        choices={[['', t('findStudents.allClasses')], ...counted(groups?.classes, '')]}
      />
      {(groups?.years.length ?? 0) > 1 && (
        <LineSelect
          label={t('findStudents.year')}
          value={request.year ?? ''}
          onChoose={(year) => onRequest({ ...request, year: year || null })}
          choices={[['', t('findStudents.allYears')], ...counted(groups?.years, t('findStudents.year2'))]}
        />
      )}
      <LineSelect
        label={t('findStudents.who')}
        value={request.left ? 'left' : 'here'}
        onChoose={(who) => onRequest({ ...request, left: who === 'left' })}
        choices={[
          ['here', t('findStudents.atTheSchool')],
          ['left', t('findStudents.leftTheSchool')],
        ]}
      />
      {mayRule && <WithAll request={request} left={groups?.left ?? 0} onRequest={onRequest} />}
    </div>
  );
}

function counted(groups: readonly StudentGroup[] = [], before: string): readonly (readonly [string, string])[] {
  return groups.map(({ name, students }) => [name, `${before}${name} (${students})`]);
}

/** For the office and the administrator. @param left how many students left */
function WithAll({
  request,
  left,
  onRequest,
}: {
  readonly request: StudentsRequest;
  readonly left: number;
  readonly onRequest: (request: StudentsRequest) => void;
}): ReactElement {
  return (
    <>
      <ExportAs request={request} />
      {request.left && left > 0 && <EraseLeft students={left} />}
      {request.className !== null && !request.left && (
        <LeaveClass className={request.className} onDone={() => onRequest({ ...request, className: null })} />
      )}
    </>
  );
}

function ExportAs({ request }: { readonly request: StudentsRequest }): ReactElement {
  const search = (format: string): string =>
    new URLSearchParams(
      Object.entries({ ...studentsSearch(request), format }).flatMap(([name, value]) =>
        value === null ? [] : [[name, value]],
      ),
    ).toString();
  return (
    <span className="flex items-center gap-2 text-row text-muted">
      {t('findStudents.exportAs')}
      {(['csv', 'xlsx', 'json'] as const).map((format) => (
        <ConfirmedDownload key={format} address={`${routes.studentsFile.path}?${search(format)}`}>
          {format.toUpperCase()}
        </ConfirmedDownload>
      ))}
    </span>
  );
}

/** At the end of a year: all who left, with all traces. */
function EraseLeft({ students }: { readonly students: number }): ReactElement {
  const [asking, setAsking] = useState(false);
  const erase = useEraseStudents();
  const sendChange = useSendChange();
  return (
    <>
      <Button onClick={() => setAsking(true)}>{t('findStudents.eraseAllWhoLeft')}</Button>
      {asking && (
        <Dialog
          title={t('findStudents.eraseStudentsWhoLeft', { count: students })}
          about={t('findStudents.namesCardsReadingsAndImport')}
          onClose={() => setAsking(false)}
        >
          <div className="flex justify-end gap-2">
            <Button onClick={() => setAsking(false)}>{t('findStudents.cancel')}</Button>
            <Button
              tone="main"
              disabled={erase.isPending}
              onClick={() =>
                sendChange(erase, null, {
                  onSuccess: () => setAsking(false),
                })
              }
            >
              {erase.isPending ? t('findStudents.erasing') : t('findStudents.eraseStudents')}
            </Button>
          </div>
        </Dialog>
      )}
    </>
  );
}

function LeaveClass({ className, onDone }: { readonly className: string; readonly onDone: () => void }): ReactElement {
  const [asking, setAsking] = useState(false);
  const leave = useLeaveClass();
  const sendChange = useSendChange();
  return (
    <>
      <Button onClick={() => setAsking(true)}>{t('findStudents.markClassAsLeft')}</Button>
      {asking && (
        <Dialog
          title={t('findStudents.markAsLeft', { className })}
          about={t('findStudents.itsStudentsStayInThe')}
          onClose={() => setAsking(false)}
        >
          <div className="flex justify-end gap-2">
            <Button onClick={() => setAsking(false)}>{t('findStudents.cancel')}</Button>
            <Button
              tone="main"
              disabled={leave.isPending}
              onClick={() => sendChange(leave, className, { onSuccess: onDone })}
            >
              {t('findStudents.markAsLeft2')}
            </Button>
          </div>
        </Dialog>
      )}
    </>
  );
}
