/** What narrows the list of students, and what can be done with all that it shows. */
import { routes, type StudentGroup, type StudentGroups } from '@hapset/contract';
import { useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { plural } from '../../platform/wording/figures.js';
import { studentsSearch, useEraseStudents, useLeaveClass, type StudentsRequest } from './roster.queries.js';
import { LineSelect } from '../../platform/design/field.js';
import { SearchInput } from '../../platform/design/inputs.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';

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
        label="Find a student"
        placeholder="Find by name, id or class"
        value={request.find}
        onFind={(find) => onRequest({ ...request, find: find })}
      />
      <LineSelect
        label="Class"
        value={request.className ?? ''}
        onChoose={(className) => onRequest({ ...request, className: className || null })}
        choices={[['', 'All classes'], ...counted(groups?.classes, '')]}
      />
      {(groups?.years.length ?? 0) > 1 && (
        <LineSelect
          label="Year"
          value={request.year ?? ''}
          onChoose={(year) => onRequest({ ...request, year: year || null })}
          choices={[['', 'All years'], ...counted(groups?.years, 'Year ')]}
        />
      )}
      <LineSelect
        label="Who"
        value={request.left ? 'left' : 'here'}
        onChoose={(who) => onRequest({ ...request, left: who === 'left' })}
        choices={[
          ['here', 'At the school'],
          ['left', 'Left the school'],
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
      Export as
      {(['csv', 'xlsx', 'json'] as const).map((format) => (
        <a
          key={format}
          href={`${routes.studentsFile.path}?${search(format)}`}
          download
          className="font-semibold text-ink"
        >
          {format.toUpperCase()}
        </a>
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
      <Button onClick={() => setAsking(true)}>Erase all who left</Button>
      {asking && (
        <Dialog
          title={`Erase ${plural(students, 'student')} who left?`}
          about="Names, cards, readings and what imports remember are deleted for good. This can’t be undone."
          onClose={() => setAsking(false)}
        >
          <div className="flex justify-end gap-2">
            <Button onClick={() => setAsking(false)}>Cancel</Button>
            <Button
              tone="main"
              disabled={erase.isPending}
              onClick={() =>
                sendChange(erase, null, {
                  onSuccess: () => setAsking(false),
                })
              }
            >
              {erase.isPending ? 'Erasing…' : 'Erase students'}
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
      <Button onClick={() => setAsking(true)}>Mark class as left</Button>
      {asking && (
        <Dialog
          title={`Mark ${className} as left?`}
          about="Its students stay in the list under “Left the school” and can come back; their cards stop working."
          onClose={() => setAsking(false)}
        >
          <div className="flex justify-end gap-2">
            <Button onClick={() => setAsking(false)}>Cancel</Button>
            <Button
              tone="main"
              disabled={leave.isPending}
              onClick={() => sendChange(leave, className, { onSuccess: onDone })}
            >
              Mark as left
            </Button>
          </div>
        </Dialog>
      )}
    </>
  );
}
