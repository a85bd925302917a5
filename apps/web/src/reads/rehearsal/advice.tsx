/** What makes the devices read that fall short: the size, a coarser code, going nearer; and what else limits them. One click takes it. */
import type { DeviceView, MaterialPage, RehearsalResult } from '@hapset/contract';
import { sizeThatReadsMm, type AddressCarry, type LimitingCause } from '@hapset/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement, ReactNode } from 'react';
import { Button } from '../../platform/design/button.js';
import { metres, namesListed } from '../../platform/wording/figures.js';
import { causesListed } from '../../platform/wording/rehearsal.js';
import { findLimits } from './rehearse.js';
import type { Remedies } from './use-remedies.js';
import { t } from '../words.js';

interface Short {
  readonly device: DeviceView;
  readonly result: RehearsalResult;
}

export function Advice({
  page,
  results,
  remedies,
}: {
  readonly page: MaterialPage;
  readonly results: readonly RehearsalResult[];
  readonly remedies: Remedies;
}): ReactElement | null {
  const { rehearsal, code } = page;
  const { distanceM, devices } = rehearsal;
  const short = results.flatMap((result): readonly Short[] => {
    const device = devices.find(({ id }) => id === result.deviceId);
    return device && result.misread === null && (result.reachM < distanceM || result.fromM > distanceM)
      ? [{ device, result }]
      : [];
  });
  const worst = short.reduce<Short | null>(
    (least, one) => (least === null || one.result.reachM < least.result.reachM ? one : least),
    null,
  );
  const limits = useLimits(page, worst);
  if (!worst || !code) return null;
  return (
    <div className="mt-3 rounded-small border border-line px-3.5 py-3 text-body">
      <p className="m-0 font-semibold">
        {t('advice.doNotReadItFrom', {
          count: short.length,
          devices: namesListed(short.map(({ device }) => device.name)),
          metres: metres(distanceM),
        })}
      </p>
      <ul aria-label={t('advice.whatHelps')} className="m-0 mt-1.5 flex list-none flex-col gap-1.5 p-0">
        {worst.result.reachM < distanceM && (
          <>
            <LargerRow page={page} worst={worst} remedies={remedies} />
            <CoarserRow page={page} remedies={remedies} />
          </>
        )}
        <ElsewhereRow page={page} results={results} remedies={remedies} />
      </ul>
      {limits !== null && limits.length > 0 && (
        <p className="mt-2 mb-0 text-row text-muted">
          {t('advice.wouldReadFromThere', { name: worst.device.name, causes: causesListed(limits) })}
        </p>
      )}
    </div>
  );
}

/** Null until it is known. */
function useLimits(
  { code, rehearsal: { key, look, sizeMm, distanceM } }: MaterialPage,
  worst: Short | null,
): readonly LimitingCause[] | null {
  const device = worst?.device ?? null;
  const limits = useQuery({
    queryKey: ['limits', key, distanceM, device?.id],
    enabled: device !== null && code !== null,
    staleTime: Infinity,
    queryFn: ({ signal }) =>
      device && code
        ? findLimits({ payload: code.payload, level: code.level, look, sizeMm, device, distanceM }, signal)
        : [],
  });
  return limits.data ?? null;
}

function Row({
  children,
  words,
  disabled,
  onTake,
}: {
  readonly children: ReactNode;
  readonly words: string;
  readonly disabled: boolean;
  readonly onTake: () => void;
}): ReactElement {
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <span className="flex-1 basis-64">{children}</span>
      <Button disabled={disabled} onClick={onTake}>
        {words}
      </Button>
    </li>
  );
}

interface RowProps {
  readonly page: MaterialPage;
  /** Reaches least. */
  readonly worst: Short;
  readonly remedies: Remedies;
}

function LargerRow({ page, worst: { result }, remedies: { print, pending } }: RowProps): ReactElement {
  const { sizeMm, largestMm, distanceM } = page.rehearsal;
  const wanted = sizeThatReadsMm(sizeMm, result.reachM, distanceM);
  if (wanted === null) return <li>{t('advice.atMmItDoesNot', { sizeMm })}</li>;
  if (wanted > largestMm)
    return <li className="text-muted">{t('advice.itNeedsMmButThis', { wanted, roomMm: Math.floor(largestMm) })}</li>;
  return (
    <Row
      words={t('advice.printItAtMm', { wanted })}
      disabled={pending}
      onTake={() => print({ sizeMm: wanted }, t('advice.printedAtMmNowRehearsing', { wanted }))}
    >
      {t('advice.printedMmLargerItReads', { moreMm: wanted - sizeMm })}
    </Row>
  );
}

/** The rung of the ladder that is read from farthest, where that is another one than is carried now. */
function CoarserRow({ page: { ladder, code }, remedies }: Omit<RowProps, 'worst'>): ReactElement | null {
  const rungs = ladder.rungs.filter(
    ({ kind, figures }) =>
      figures !== null && (kind === 'short-link' || kind === 'trimmed') && figures.modules < (code?.modules ?? 0),
  );
  const best = rungs.reduce<(typeof rungs)[number] | null>(
    (coarsest, rung) =>
      coarsest === null || (rung.figures?.modules ?? 0) < (coarsest.figures?.modules ?? 0) ? rung : coarsest,
    null,
  );
  if (!best?.figures) return null;
  const carry = best.kind as AddressCarry;
  return (
    <Row
      words={carry === 'short-link' ? t('advice.useTheShortLink') : t('advice.trimTheLink')}
      disabled={remedies.pending}
      onTake={() => remedies.carry(carry, t('advice.theCodeIsCoarserNow'))}
    >
      {carry === 'short-link'
        ? t('advice.asAShortLinkIts', {
            percent: Math.round((100 * (code?.modules ?? 1)) / best.figures.modules - 100),
          })
        : t('advice.withoutTrackingParametersItsModules', {
            percent: Math.round((100 * (code?.modules ?? 1)) / best.figures.modules - 100),
          })}
    </Row>
  );
}

/**
 * Going nearer, or stepping back where a reader is lost near by, to where every device reads. It is the station's own affair: the
 * lesson's other stations stay as they are.
 */
function ElsewhereRow({
  page,
  results,
  remedies: { print, pending },
}: Omit<RowProps, 'worst'> & { readonly results: readonly RehearsalResult[] }): ReactElement | null {
  const { distanceM } = page.rehearsal;
  const [leastM, mostM] = [
    Math.max(0.3, ...results.map(({ fromM }) => fromM)),
    Math.min(...results.map(({ reachM }) => reachM)),
  ];
  const wanted = mostM < distanceM ? Math.floor(mostM * 10) / 10 : Math.ceil(leastM * 10) / 10;
  if (!page.station || wanted < leastM || wanted > mostM) return null;
  return (
    <Row
      words={t('advice.setTheDistanceTo', { metres: metres(wanted) })}
      disabled={pending}
      onTake={() => print({ viewingDistanceM: wanted }, t('advice.viewingDistanceHere', { metres: metres(wanted) }))}
    >
      {t('advice.everyDeviceReadsItFrom', { metres: metres(wanted) })}
    </Row>
  );
}
