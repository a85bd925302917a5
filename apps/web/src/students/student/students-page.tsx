/** The school's students: found as one types, by class, and what can be done with one. */
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { useSession } from '../../school/account/session.queries.js';
import { Button, buttonClass } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { PageHead } from '../../platform/design/page-head.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { schoolQuery } from '../../school/settings/school.queries.js';
import { FindStudents } from './find-students.js';
import { groupsQuery, studentsQuery, type StudentsRequest } from './roster.queries.js';
import { StudentList } from './student-list.js';
import { t } from '../words.js';

export function StudentsPage(): ReactElement {
  const [request, setRequest] = useState<StudentsRequest>({ find: '', className: null, year: null, left: false });
  const groups = useQuery(groupsQuery).data;
  const mayRule = useSession()?.role !== 'teacher';
  const none = groups !== undefined && groups.students + groups.left === 0;
  return (
    <>
      <PageHead
        title={t('studentsPage.students')}
        trail={<Link to="/school">{t('studentsPage.school')}</Link>}
        about={t('studentsPage.allStudentsOfTheRoster')}
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
  const photos = useQuery(schoolQuery).data?.studentPhotos === true;
  const ofClass = className === null ? '' : `?${new URLSearchParams({ class: className }).toString()}`;
  return (
    <>
      <Link to="/school/students/read" className={buttonClass()}>
        {t('studentsPage.readCards')}
      </Link>
      {mayImport && !none && photos && (
        <Link to="/school/students/photos" className={buttonClass()}>
          {t('studentsPage.photos')}
        </Link>
      )}
      {mayImport && !none && (
        <Link to="/school/students/next-year" className={buttonClass()}>
          {t('studentsPage.nextSchoolYear')}
        </Link>
      )}
      {mayImport && (
        <Link to="/school/students/import" className={buttonClass(none ? 'main' : 'plain')}>
          {t('studentsPage.importRoster')}
        </Link>
      )}
      {!none && (
        <Link to={`/school/students/cards${ofClass}`} className={buttonClass('main')}>
          {t('studentsPage.makeCards')}
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
  if (students.isPending) return <Loading label={t('studentsPage.studentsAreLoading')} />;
  if (hasFailed(students)) return <Failed words={wordsFor(students.error)} onRetry={() => void students.refetch()} />;
  const rows = students.data.pages.flatMap((page) => page.rows);
  if (rows.length === 0) return <Nobody none={none} mayImport={mayRule} />;
  return (
    <>
      <p className="mt-0 mb-2 text-row text-muted" role="status">
        {t('studentsPage.students2', { count: students.data.pages[0]?.total ?? 0 })}
      </p>
      <StudentList rows={rows} mayRule={mayRule} left={request.left} />
      {students.hasNextPage && (
        <Button className="mt-3" disabled={students.isFetchingNextPage} onClick={() => void students.fetchNextPage()}>
          {t('studentsPage.showMore')}
        </Button>
      )}
    </>
  );
}

function Nobody({ none, mayImport }: { readonly none: boolean; readonly mayImport: boolean }): ReactElement {
  if (!none)
    return <Empty title={t('studentsPage.noStudentFound')}>{t('studentsPage.tryFewerLettersOrAnother')}</Empty>;
  return (
    <Empty title={t('studentsPage.noStudentsYet')}>
      {mayImport ? t('studentsPage.importARosterACSV') : t('studentsPage.theSchoolsOfficeImportsThe')}
    </Empty>
  );
}
