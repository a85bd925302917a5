import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { SchoolSummary } from '../settings/school-summary.js';
import { staffQuery } from './staff.queries.js';
import { t } from './words.js';

/** On the school's page: how many work here, and the way to them to what they did, and to how long that is kept. */
export function StaffSummary(): ReactElement {
  return (
    <SchoolSummary title={t('staffSummary.staff')} to="/school/staff" query={useQuery(staffQuery)}>
      {({ staff, invitations }) => (
        <>
          {t('staffSummary.people', { count: staff.filter(({ active }) => active).length })}
          {invitations.length > 0 && ` · ${t('staffSummary.invitations', { count: invitations.length })}`}
          {' · '}
          <Link to="/school/activity">{t('staffSummary.activityLog')}</Link>
          {' · '}
          <Link to="/school/retention">{t('staffSummary.retention')}</Link>
        </>
      )}
    </SchoolSummary>
  );
}
