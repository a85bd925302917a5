import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { SchoolSummary } from '../../school/settings/school-summary.js';
import { plainLookWords } from '../../platform/wording/looks.js';
import { looksQuery } from './look.queries.js';
import { t } from '../words.js';

/** On the school's page: which looks there are, which is the usual one, and the way to them. */
export function LooksSummary(): ReactElement {
  return (
    <SchoolSummary title={t('looksSummary.looks')} to="/school/looks" query={useQuery(looksQuery)}>
      {({ looks, defaultLookId }) =>
        looks.length === 0
          ? t('looksSummary.noLooksYetAllCodes')
          : t('looksSummary.default', {
              looks: looks.map(({ name }) => name).join(', '),
              default: looks.find(({ id }) => id === defaultLookId)?.name ?? plainLookWords,
            })
      }
    </SchoolSummary>
  );
}
