import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { SchoolSummary } from '../../school/settings/school-summary.js';
import { groupsQuery } from './roster.queries.js';
import { t } from '../words.js';

/** On the school's page: how many students there are, and the way to them and their cards. */
export function StudentsSummary(): ReactElement {
  return (
    <SchoolSummary title={t('studentsSummary.students')} to="/school/students" query={useQuery(groupsQuery)}>
      {({ students, classes }) =>
        students === 0
          ? t('studentsSummary.noneYetTheOfficeImports')
          : t('studentsSummary.studentsIn', {
              count: students,
              classs: t('studentsSummary.classes', { count: classes.length }),
            })
      }
    </SchoolSummary>
  );
}
