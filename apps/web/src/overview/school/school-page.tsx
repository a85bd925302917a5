import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useSession } from '../../school/account/session.queries.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { SchoolClasses } from '../../school/school-class/school-classes.js';
import { LooksSummary } from '../../code/look/looks-summary.js';
import { ServicesSummary } from '../../gather/service-description/services-summary.js';
import { PageHead } from '../../platform/design/page-head.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { StudentsSummary } from '../../students/student/students-summary.js';
import { TemplatesSummary } from '../../paper/sheet/templates-summary.js';
import { SchoolSettings } from '../../school/settings/school-settings.js';
import { SetupSummary } from '../setup/setup-summary.js';
import { StaffSummary } from '../../school/staff/staff-summary.js';
import { ServerNotesPart } from '../../school/settings/server-notes.js';
import { TeacherClassesPart } from '../../school/settings/teacher-classes.js';
import { schoolQuery } from '../../school/settings/school.queries.js';
import { t } from '../words.js';

function ForAdministrators(): ReactElement {
  return (
    <>
      <StaffSummary />
      <TeacherClassesPart />
      <ServerNotesPart />
    </>
  );
}

export function SchoolPage(): ReactElement {
  const session = useSession();
  const school = useQuery(schoolQuery);
  return (
    <>
      <PageHead title={school.data?.name ?? t('schoolPage.school')} about={t('schoolPage.settingsOfTheSchoolAll')} />
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <div className="flex flex-col gap-4">
          {session?.role === 'administrator' && <SetupSummary />}
          <SchoolClasses />
          <StudentsSummary />
          <LooksSummary />
          <TemplatesSummary />
          <ServicesSummary />
          {session?.role === 'administrator' && <ForAdministrators />}
        </div>
        {school.isPending && <Loading label={t('schoolPage.settingsAreLoading')} />}
        {hasFailed(school) && <Failed words={wordsFor(school.error)} onRetry={() => void school.refetch()} />}
        {school.data && (
          <SchoolSettings
            key={school.data.version}
            school={school.data}
            mayChange={session?.role === 'administrator'}
          />
        )}
      </div>
    </>
  );
}
