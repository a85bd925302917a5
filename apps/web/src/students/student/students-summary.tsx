import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { SchoolSummary } from '../../school/settings/school-summary.js';
import { plural } from '../../platform/wording/figures.js';
import { groupsQuery } from './roster.queries.js';

/** On the school's page: how many students there are, and the way to them and their cards. */
export function StudentsSummary(): ReactElement {
  return (
    <SchoolSummary title="Students" to="/school/students" query={useQuery(groupsQuery)}>
      {({ students, classes }) =>
        students === 0
          ? 'None yet. The office imports a roster to make cards.'
          : `${plural(students, 'student')} in ${plural(classes.length, 'class', 'classes')}.`
      }
    </SchoolSummary>
  );
}
