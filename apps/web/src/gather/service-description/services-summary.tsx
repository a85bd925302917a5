import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { SchoolSummary } from '../../school/settings/school-summary.js';
import { servicesQuery } from './service.queries.js';
import { t } from '../words.js';

/** On the school's page: which services are described, and the way to them. */
export function ServicesSummary(): ReactElement {
  return (
    <SchoolSummary title={t('servicesSummary.services')} to="/school/services" query={useQuery(servicesQuery)}>
      {(services) => {
        const leftOut = services.filter(({ problems }) => problems.length > 0);
        return (
          <>
            {services.length === 0
              ? t('servicesSummary.noServicesDescribedLinksAre')
              : services.map(({ name }) => name).join(', ')}
            {leftOut.length > 0 && (
              <strong className="block text-stop">
                {t('servicesSummary.notUsedBecauseOfErrors', { services: leftOut.map(({ name }) => name).join(', ') })}
              </strong>
            )}
          </>
        );
      }}
    </SchoolSummary>
  );
}
