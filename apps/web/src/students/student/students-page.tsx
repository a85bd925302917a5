/** The school's students: found as one types, by class, and what can be done with one. */
import { routes, type StudentView } from '@hapset/contract';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { MoreHorizontal } from 'lucide';
import { useDeferredValue, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { useSession } from '../../school/account/session.queries.js';
import { Button, buttonClass } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { Menu } from '../../platform/design/menu.js';
import { useNotice } from '../../platform/design/notice.js';
import { PageHead } from '../../platform/design/page-head.js';
import { ago, plural } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { ChangeStudentDialog } from './change-student.js';
import {
  groupsQuery,
  studentsQuery,
  studentsSearch,
  useChangeStudent,
  useEraseStudent,
  useEraseStudents,
  useLeaveClass,
  useReplaceCard,
  type StudentsWish,
} from './roster.queries.js';
import { Icon } from '../../platform/design/icon.js';

export function Component(): ReactElement {
  const [wish, setWish] = useState<StudentsWish>({ find: '', className: null, year: null, left: false });
  const wanted = useDeferredValue(wish);
  const students = useInfiniteQuery(studentsQuery(wanted));
  const groups = useQuery(groupsQuery).data;
  const rows = students.data?.pages.flatMap((page) => page.rows) ?? [];
  const total = students.data?.pages[0]?.total ?? 0;
  const mayRule = useSession()?.role !== 'teacher';
  const none = groups !== undefined && groups.students + groups.left === 0;
  return (
    <>
      <PageHead
        title="Students"
        trail={<Link to="/school">School</Link>}
        about="Who is in the roster. Nobody here has an account; nothing is kept but what the roster says, and cards."
        actions={
          <>
            <Link to="/school/students/read" className={buttonClass()}>
              Read cards
            </Link>
            {mayRule && (
              <Link to="/school/students/import" className={buttonClass(none ? 'main' : 'plain')}>
                Import roster
              </Link>
            )}
            {!none && (
              <Link
                to={
                  wish.className === null
                    ? '/school/students/cards'
                    : `/school/students/cards?${new URLSearchParams({ class: wish.className }).toString()}`
                }
                className={buttonClass('main')}
              >
                Make cards
              </Link>
            )}
          </>
        }
      />
      {!none && (
        <div className="mb-3 flex flex-wrap items-center gap-2.5">
          <input
            type="search"
            aria-label="Find a student"
            placeholder="Find by name, id or class"
            value={wish.find}
            onChange={(event) => setWish({ ...wish, find: event.target.value })}
            className="min-h-9 w-[min(300px,86vw)] rounded-small border border-line-strong bg-sheet px-3 text-[15px] placeholder:text-muted"
          />
          <select
            aria-label="Class"
            value={wish.className ?? ''}
            onChange={(event) => setWish({ ...wish, className: event.target.value || null })}
            className="min-h-9 rounded-small border border-line-strong bg-sheet px-2 text-[14px]"
          >
            <option value="">All classes</option>
            {groups?.classes.map(({ name, students: count }) => (
              <option key={name} value={name}>
                {name} ({count})
              </option>
            ))}
          </select>
          {(groups?.years.length ?? 0) > 1 && (
            <select
              aria-label="Year"
              value={wish.year ?? ''}
              onChange={(event) => setWish({ ...wish, year: event.target.value || null })}
              className="min-h-9 rounded-small border border-line-strong bg-sheet px-2 text-[14px]"
            >
              <option value="">All years</option>
              {groups?.years.map(({ name, students: count }) => (
                <option key={name} value={name}>
                  Year {name} ({count})
                </option>
              ))}
            </select>
          )}
          <select
            aria-label="Who"
            value={wish.left ? 'left' : 'here'}
            onChange={(event) => setWish({ ...wish, left: event.target.value === 'left' })}
            className="min-h-9 rounded-small border border-line-strong bg-sheet px-2 text-[14px]"
          >
            <option value="here">At the school</option>
            <option value="left">Left the school</option>
          </select>
          {mayRule && <ExportAs wish={wish} />}
          {mayRule && wish.left && (groups?.left ?? 0) > 0 && <EraseLeft students={groups?.left ?? 0} />}
          {mayRule && wish.className !== null && !wish.left && (
            <LeaveClass className={wish.className} onDone={() => setWish({ ...wish, className: null })} />
          )}
        </div>
      )}
      {students.isPending && <Loading label="Students are loading" />}
      {students.isError && <Failed words={wordsFor(students.error)} onRetry={() => void students.refetch()} />}
      {students.isSuccess &&
        rows.length === 0 &&
        (none ? (
          <Empty title="No students yet">
            {mayRule
              ? 'Import a roster: a CSV, XLSX or ODS file, or cells from a spreadsheet. Three columns are enough.'
              : 'The school’s office imports the roster. You see the classes that the school gives you.'}
          </Empty>
        ) : (
          <Empty title="Nobody found">Try fewer letters, or another class.</Empty>
        ))}
      {rows.length > 0 && (
        <>
          <p className="mt-0 mb-2 text-[14px] text-muted" role="status">
            {plural(total, 'student')}
          </p>
          <ul
            className="m-0 list-none overflow-hidden rounded-sheet border border-line bg-sheet p-0"
            aria-label="Students"
          >
            {rows.map((student) => (
              <StudentRow key={student.id} student={student} mayErase={mayRule} />
            ))}
          </ul>
        </>
      )}
      {students.hasNextPage && (
        <Button className="mt-3" disabled={students.isFetchingNextPage} onClick={() => void students.fetchNextPage()}>
          Show more
        </Button>
      )}
    </>
  );
}

function ExportAs({ wish }: { readonly wish: StudentsWish }): ReactElement {
  const search = (format: string): string =>
    new URLSearchParams(
      Object.entries({ ...studentsSearch(wish), format }).flatMap(([name, value]) =>
        value === null ? [] : [[name, value]],
      ),
    ).toString();
  return (
    <span className="flex items-center gap-2 text-[14px] text-muted">
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
  const notice = useNotice();
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
                erase.mutate(null, {
                  onSuccess: () => setAsking(false),
                  onError: (error) => notice({ words: wordsFor(error) }),
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
  const notice = useNotice();
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
              onClick={() =>
                leave.mutate(className, { onSuccess: onDone, onError: (error) => notice({ words: wordsFor(error) }) })
              }
            >
              Mark as left
            </Button>
          </div>
        </Dialog>
      )}
    </>
  );
}

function StudentRow({
  student,
  mayErase,
}: {
  readonly student: StudentView;
  readonly mayErase: boolean;
}): ReactElement {
  const { id, name, className, year, schoolId, left, cardMadeAt, version } = student;
  const [open, setOpen] = useState<'change' | 'erase' | null>(null);
  const change = useChangeStudent(id);
  const erase = useEraseStudent();
  const replace = useReplaceCard();
  const notice = useNotice();
  const told = { onError: (error: Error) => notice({ words: wordsFor(error) }) };
  return (
    <li className="flex items-center gap-x-4 border-b border-line px-4 py-2 last:border-b-0">
      <span className="grid min-w-0 flex-1 gap-x-4 sm:grid-cols-[minmax(0,1fr)_120px_110px_170px] sm:items-center">
        <span className="truncate text-[15.5px] font-semibold">{name}</span>
        <span className="truncate text-[14px] text-muted">
          {[className, year].filter((part) => part !== '').join(' · ')}
        </span>
        <span className="truncate font-mono text-[13.5px] text-muted">{schoolId ?? ''}</span>
        <span className="text-[13.5px] text-muted">
          {left ? 'left the school' : cardMadeAt === null ? 'no card yet' : `card printed ${ago(cardMadeAt)}`}
        </span>
      </span>
      <Menu
        label={`More about ${name}`}
        entries={[
          { label: 'Change', onSelect: () => setOpen('change') },
          {
            label: 'The card is lost',
            disabled: cardMadeAt === null,
            onSelect: () =>
              replace.mutate(id, {
                ...told,
                onSuccess: () =>
                  notice({ words: `${name}’s card is no longer valid. Make a new one under “only who has none yet”.` }),
              }),
          },
          {
            label: left ? 'Is back' : 'Left the school',
            onSelect: () =>
              change.mutate(
                { version, left: !left },
                { ...told, onSuccess: () => notice({ words: left ? `${name} is back.` : `${name} left the school.` }) },
              ),
          },
          ...(mayErase ? [{ label: 'Erase with all traces', danger: true, onSelect: () => setOpen('erase') }] : []),
        ]}
      >
        <Icon icon={MoreHorizontal} size={18} />
      </Menu>
      {open === 'change' && <ChangeStudentDialog student={student} onClose={() => setOpen(null)} />}
      {open === 'erase' && (
        <Dialog
          title={`Erase ${name}?`}
          about="Name, cards, readings and what imports remember are gone for good. This can’t be undone."
          onClose={() => setOpen(null)}
        >
          <div className="flex justify-end gap-2">
            <Button onClick={() => setOpen(null)}>Cancel</Button>
            <Button tone="main" disabled={erase.isPending} onClick={() => erase.mutate(id, told)}>
              Erase
            </Button>
          </div>
        </Dialog>
      )}
    </li>
  );
}
