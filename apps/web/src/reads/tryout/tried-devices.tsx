import type { MaterialPage, TryoutView } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { StateMark } from '../../platform/design/state-mark.js';
import { ago } from '../../platform/wording/figures.js';
import { outcomeWords, visitorWords } from '../../platform/wording/short-links.js';
import { tryoutsQuery } from './tryout.queries.js';
import { t } from '../words.js';

const shown = 3;

/** Beside the rehearsal, what real devices did with the code as it is now. */
export function TriedDevices({ page: { material } }: { readonly page: MaterialPage }): ReactElement | null {
  const tried = useQuery(tryoutsQuery(material.id, false)).data?.filter(({ current }) => current) ?? [];
  if (tried.length === 0) return null;
  return (
    <ul
      aria-label={t('triedDevices.triedWithRealDevices')}
      className="mt-2 mb-0 flex list-none flex-wrap gap-x-5 gap-y-1 border-t border-line p-0 pt-2 text-row"
    >
      {tried.slice(0, shown).map((tryout) => (
        <li key={tryout.id} className="flex items-center gap-2">
          <StateMark mark={tryout.outcome === 'as-meant' ? 'done' : 'stop'} words={outcomeWords[tryout.outcome]} />
          <span>
            <strong>{nameOf(tryout)}</strong> {t('triedDevices.tried', { ago: ago(tryout.at) })}
          </span>
        </li>
      ))}
    </ul>
  );
}

function nameOf({ deviceName, visitor }: TryoutView): string {
  return deviceName ?? (visitor === null ? t('triedDevices.unknownDevice') : `A ${visitorWords[visitor]}`);
}
