import { tryoutOutcomes, type MaterialPage, type TryoutOutcome, type TryoutView } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed } from '../../platform/design/list-states.js';
import { Panel } from '../../platform/design/panel.js';
import { StateMark, type Mark } from '../../platform/design/state-mark.js';
import { ago, tenths } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { outcomeWords, visitorWords } from '../../platform/wording/short-links.js';
import { tryoutsQuery, useRemoveTryout, useSayDevice, useTellTryout } from './tryout.queries.js';
import { SelectInput } from '../../platform/design/inputs.js';
import { Alert } from '../../platform/design/alert.js';
import { t } from '../words.js';

const marks: Readonly<Record<TryoutOutcome, Mark>> = { 'as-meant': 'done', otherwise: 'stop', nothing: 'stop' };

/** What devices made of it, the last ones first, and the teacher's own word where no short link tells. */
export function TryoutResults({
  page,
  listening,
}: {
  readonly page: MaterialPage;
  readonly listening: boolean;
}): ReactElement {
  const tryouts = useQuery(tryoutsQuery(page.material.id, listening));
  return (
    <>
      {!listening && <Tell page={page} />}
      {hasFailed(tryouts) && <Failed words={wordsFor(tryouts.error)} onRetry={() => void tryouts.refetch()} />}
      {tryouts.data && (
        <Panel
          title={t('tryoutResults.results')}
          aside={tryouts.data.length === 0 ? t('tryoutResults.noDeviceTriedYet') : undefined}
        >
          <ul aria-label={t('tryoutResults.results')} aria-live="polite" className="m-0 list-none p-0">
            {tryouts.data.map((tryout) => (
              <Result key={tryout.id} page={page} tryout={tryout} />
            ))}
          </ul>
        </Panel>
      )}
    </>
  );
}

function Result({ page, tryout }: { readonly page: MaterialPage; readonly tryout: TryoutView }): ReactElement {
  const { id, deviceId, outcome, current, at } = tryout;
  const say = useSayDevice();
  const remove = useRemoveTryout();
  return (
    <li className="grid grid-cols-[auto_minmax(0,1fr)] items-center gap-x-3 gap-y-1 border-b border-line py-2 text-body last:border-b-0">
      <StateMark mark={current ? marks[outcome] : 'not-yet'} words={outcomeWords[outcome]} />
      <span>
        <span className="font-semibold">{sentence(tryout)}</span>
        <span className="block text-note text-muted">
          {current ? ago(at) : t('tryoutResults.theCodeHasChangedSince', { ago: ago(at) })}
        </span>
      </span>
      <span className="col-start-2 flex items-center gap-1">
        <SelectInput
          aria-label={t('tryoutResults.whichDeviceWasIt')}
          value={deviceId ?? ''}
          onChange={(event) => say.mutate({ tryoutId: id, deviceId: event.target.value || null })}
          className="max-w-44 text-row"
        >
          <option value="">{t('tryoutResults.unknownDevice')}</option>
          {page.rehearsal.devices.map((device) => (
            <option key={device.id} value={device.id}>
              {device.name}
            </option>
          ))}
        </SelectInput>
        <Button tone="quiet" onClick={() => remove.mutate(id)} disabled={remove.isPending}>
          {t('tryoutResults.remove')}
        </Button>
      </span>
    </li>
  );
}

/** "A phone opened it after 3.2 s, and the page came." */
function sentence({ visitor, afterMs, pageOpened, outcome }: TryoutView): string {
  if (visitor === null) return outcomeWords[outcome];
  const values = { visitor: visitorWords[visitor], seconds: tenths((afterMs ?? 0) / 1000) };
  const timed = afterMs !== null;
  if (pageOpened === null) return t(timed ? 'tryoutResults.aOpenedItAfterS' : 'tryoutResults.aOpenedIt', values);
  if (pageOpened) return t(timed ? 'tryoutResults.aOpenedItAfterS2' : 'tryoutResults.aOpenedItAndThe', values);
  return t(timed ? 'tryoutResults.aOpenedItAfterS3' : 'tryoutResults.aOpenedItButDid', values);
}

function Tell({ page }: { readonly page: MaterialPage }): ReactElement {
  const tell = useTellTryout(page.material.id);
  const [deviceId, setDeviceId] = useState(page.rehearsal.devices[0]?.id ?? '');
  return (
    <Panel title={t('tryoutResults.whatDidItShow')}>
      <label className="flex flex-wrap items-center gap-2 text-row">
        <span className="text-muted">{t('tryoutResults.triedWith')}</span>
        <SelectInput value={deviceId} onChange={(event) => setDeviceId(event.target.value)} className="font-semibold">
          {page.rehearsal.devices.map((device) => (
            <option key={device.id} value={device.id}>
              {device.name}
            </option>
          ))}
          <option value="">{t('tryoutResults.anotherDevice')}</option>
        </SelectInput>
      </label>
      <div className="mt-3 flex flex-wrap gap-2">
        {tryoutOutcomes.map((outcome) => (
          <Button
            key={outcome}
            disabled={tell.isPending}
            onClick={() => tell.mutate({ deviceId: deviceId === '' ? null : deviceId, outcome })}
          >
            {outcomeWords[outcome]}
          </Button>
        ))}
      </div>
      {tell.isError && <Alert words={wordsFor(tell.error)} className="mt-2 mb-0" />}
    </Panel>
  );
}
