import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { SchoolSummary } from '../../school/settings/school-summary.js';
import { plainLookWords } from '../../platform/wording/looks.js';
import { looksQuery } from './look.queries.js';

/** On the school's page: which looks there are, which is the usual one, and the way to them. */
export function LooksSummary(): ReactElement {
  return (
    <SchoolSummary title="Looks" to="/school/looks" query={useQuery(looksQuery)}>
      {({ looks, defaultLookId }) =>
        looks.length === 0
          ? 'None yet: all codes are black on white.'
          : `${looks.map(({ name }) => name).join(', ')}. Where none is chosen: ${looks.find(({ id }) => id === defaultLookId)?.name ?? plainLookWords}.`
      }
    </SchoolSummary>
  );
}
