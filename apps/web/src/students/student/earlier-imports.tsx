import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { Panel } from '../../platform/design/panel.js';
import { ago } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { importsQuery } from './roster.queries.js';
import { UndoImportDialog } from './undo-import.js';
import { t } from '../words.js';

/** Rosters that were imported before; the last one can be undone by its importer and by administrators. */
export function EarlierImports(): ReactElement | null {
  const imports = useQuery(importsQuery);
  const [undoing, setUndoing] = useState<string | null>(null);
  if (imports.isPending) return <Loading rows={1} label={t('earlierImports.earlierRostersAreLoading')} />;
  if (hasFailed(imports)) return <Failed words={wordsFor(imports.error)} onRetry={() => void imports.refetch()} />;
  if (imports.data.length === 0) return null;
  return (
    <Panel title={t('earlierImports.earlierImports')}>
      <ul className="m-0 list-none p-0 text-row" aria-label={t('earlierImports.earlierImports')}>
        {imports.data.map(({ id, kind, fileName, importedAt, added, changed, left, undone, undoable }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 border-b border-line py-2 last:border-b-0">
            <span className="min-w-0 flex-1">
              <span className="block font-semibold wrap-anywhere">
                {kind === 'year-end' ? t('earlierImports.nextSchoolYear') : fileName}
              </span>
              <span className="text-muted">
                {undone
                  ? t('earlierImports.addedChangedLeftUndone', { added, changed, left, ago: ago(importedAt) })
                  : t('earlierImports.addedChangedLeft', { added, changed, left, ago: ago(importedAt) })}
              </span>
            </span>
            {undoable && <Button onClick={() => setUndoing(id)}>{t('earlierImports.undo')}</Button>}
          </li>
        ))}
      </ul>
      {undoing !== null && <UndoImportDialog importId={undoing} onClose={() => setUndoing(null)} />}
    </Panel>
  );
}
