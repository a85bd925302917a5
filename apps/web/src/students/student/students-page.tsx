/** The school's students: found as one types, by class, and what can be done with one. */
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { useSession } from '../../school/account/session.queries.js';
import { Button, buttonClass } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { PageHead } from '../../platform/design/page-head.js';
import { plural } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { FindStudents } from './find-students.js';
import { groupsQuery, studentsQuery, type StudentsRequest } from './roster.queries.js';
import { StudentRow } from './student-row.js';

export function StudentsPage(): ReactElement {
  const [request, setRequest] = useState<StudentsRequest>({ find: '', className: null, year: null, left: false });
  const groups = useQuery(groupsQuery).data;
  const mayRule = useSession()?.role !== 'teacher';
  const none = groups !== undefined && groups.students + groups.left === 0;
  return (
    <>
      <PageHead
        title="Students"
        trail={<Link to="/school">School</Link>}
        about="Who is in the roster. Nobody here has an account; nothing is kept but what the roster says, and cards."
        actions={<Ways className={request.className} mayImport={mayRule} none={none} />}
      />
      {!none && <FindStudents request={request} onRequest={setRequest} groups={groups} mayRule={mayRule} />}
      <Students request={request} none={none} mayRule={mayRule} />
    </>
  );
}

/** @param none whether there are no students at all: then the roster comes first */
function Ways({
  className,
  mayImport,
  none,
}: {
  readonly className: string | null;
  readonly mayImport: boolean;
  readonly none: boolean;
}): ReactElement {
  const ofClass = className === null ? '' : `?${new URLSearchParams({ class: className }).toString()}`;
  return (
    <>
      <Link to="/school/students/read" className={buttonClass()}>
        Read cards
      </Link>
      {mayImport && (
        <Link to="/school/students/import" className={buttonClass(none ? 'main' : 'plain')}>
          Import roster
        </Link>
      )}
      {!none && (
        <Link to={`/school/students/cards${ofClass}`} className={buttonClass('main')}>
          Make cards
        </Link>
      )}
    </>
  );
}

function Students({
  request,
  none,
  mayRule,
}: {
  readonly request: StudentsRequest;
  readonly none: boolean;
  readonly mayRule: boolean;
}): ReactElement {
  const students = useInfiniteQuery(studentsQuery(useDeferredValue(request)));
  if (students.isPending) return <Loading label="Students are loading" />;
  if (hasFailed(students)) return <Failed words={wordsFor(students.error)} onRetry={() => void students.refetch()} />;
  const rows = students.data.pages.flatMap((page) => page.rows);
  if (rows.length === 0) return <Nobody none={none} mayImport={mayRule} />;
  return (
    <>
      <p className="mt-0 mb-2 text-row text-muted" role="status">
        {plural(students.data.pages[0]?.total ?? 0, 'student')}
      </p>
      <ul className="m-0 list-none overflow-hidden rounded-sheet border border-line bg-sheet p-0" aria-label="Students">
        {rows.map((student) => (
          <StudentRow key={student.id} student={student} mayErase={mayRule} />
        ))}
      </ul>
      {students.hasNextPage && (
        <Button className="mt-3" disabled={students.isFetchingNextPage} onClick={() => void students.fetchNextPage()}>
          Show more
        </Button>
      )}
    </>
  );
}

function Nobody({ none, mayImport }: { readonly none: boolean; readonly mayImport: boolean }): ReactElement {
  if (!none) return <Empty title="Nobody found">Try fewer letters, or another class.</Empty>;
  return (
    <Empty title="No students yet">
      {mayImport
        ? 'Import a roster: a CSV, XLSX or ODS file, or cells from a spreadsheet. Three columns are enough.'
        : 'The school’s office imports the roster. You see the classes that the school gives you.'}
    </Empty>
  );
}
