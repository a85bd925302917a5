import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { SchoolSummary } from '../../school/settings/school-summary.js';
import { sheetKindWords } from '../../platform/wording/sheets.js';
import { templatesQuery } from './sheet.queries.js';
import { t } from '../words.js';

/** On the school's page: which templates of sheets there are, which are usual, and the way to them. */
export function TemplatesSummary(): ReactElement {
  return (
    <SchoolSummary title={t('templatesSummary.sheetTemplates')} to="/school/templates" query={useQuery(templatesQuery)}>
      {(templates) =>
        templates.length === 0
          ? t('templatesSummary.noTemplatesYetAllSheets')
          : templates
              .map(({ name, kind, usual }) =>
                t(usual ? 'templatesSummary.default' : 'templatesSummary.text', {
                  name,
                  kind: sheetKindWords[kind],
                }),
              )
              .join(', ')
      }
    </SchoolSummary>
  );
}
