/** Whether every device reads such a card, held to it at a desk and behind tape: rehearsed like any code. */
import { routes, type CardsPreview, type DeviceView, type RehearsalResult } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState, type ReactElement } from 'react';
import { call } from '../../platform/api/client.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { deskDistanceM, deskScene, planSymbol } from '@hapset/core';
import { rehearse } from '../../reads/rehearsal/rehearse.js';
import { metres } from '../../platform/wording/figures.js';
import { t } from '../words.js';

export function CardRehearsal({
  sample: { payload, sizeMm },
}: {
  readonly sample: NonNullable<CardsPreview['sample']>;
}): ReactElement | null {
  const devices = useQuery({
    queryKey: ['devices'],
    queryFn: ({ signal }): Promise<readonly DeviceView[]> => call(routes.devices, { signal }),
  }).data;
  const [done, setDone] = useState<{ readonly sizeMm: number; readonly results: readonly RehearsalResult[] } | null>(
    null,
  );
  // What was rehearsed at another size says nothing about this one.
  const found = done?.sizeMm === sizeMm ? done.results : null;
  useEffect(() => {
    const plan = planSymbol(payload);
    if (!devices || devices.length === 0 || !plan.ok) return;
    const leave = new AbortController();
    // Cards differ by their letters alone: one of them stands for all.
    rehearse(
      { payload, level: plan.value.level, look: null, sizeMm, devices, scene: deskScene },
      leave.signal,
      () => undefined,
    )
      .then(({ results }) => {
        if (!leave.signal.aborted) setDone({ sizeMm, results });
      })
      .catch(() => undefined);
    return () => leave.abort();
  }, [payload, sizeMm, devices]);
  if (!devices || devices.length === 0) return null;
  if (found === null)
    return (
      <p role="status" className="m-0 text-row text-muted">
        {t('cardRehearsal.rehearsingAMmCodeWith', { sizeMm: Math.floor(sizeMm), number: devices.length })}
      </p>
    );
  const least = Math.min(...found.map(({ reachM }) => reachM));
  const short = devices.filter(
    ({ id }) => (found.find((result) => result.deviceId === id)?.reachM ?? 0) < deskDistanceM,
  );
  return (
    <p role="status" className="m-0 flex items-center gap-2 text-row">
      <StateMark
        mark={short.length === 0 ? 'done' : 'look-at'}
        words={short.length === 0 ? t('cardRehearsal.reads') : t('cardRehearsal.needsAttention')}
      />
      <span>
        {short.length === 0
          ? t('cardRehearsal.everyDeviceReadsACard', { metres: metres(least), sizeMm: Math.floor(sizeMm) })
          : t('cardRehearsal.cantReadACardFrom', {
              devices: short.map(({ name }) => name).join(', '),
              metres: metres(deskDistanceM),
            })}
      </span>
    </p>
  );
}
