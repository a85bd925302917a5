import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { SchoolSummary } from '../../school/settings/school-summary.js';
import { servicesQuery } from './service.queries.js';

/** On the school's page: which services are described, and the way to them. */
export function ServicesSummary(): ReactElement {
  return (
    <SchoolSummary title="Services" to="/school/services" query={useQuery(servicesQuery)}>
      {(services) => {
        const leftOut = services.filter(({ problems }) => problems.length > 0);
        return (
          <>
            {services.length === 0
              ? 'None described yet. Links are opened and judged all the same.'
              : services.map(({ name }) => name).join(', ')}
            {leftOut.length > 0 && (
              <strong className="block text-stop">
                Left out, since it can’t be used: {leftOut.map(({ name }) => name).join(', ')}
              </strong>
            )}
          </>
        );
      }}
    </SchoolSummary>
  );
}
