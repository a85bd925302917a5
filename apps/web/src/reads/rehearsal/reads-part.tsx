import type { MaterialPage } from '@hapset/contract';
import { lazy, Suspense, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { Button, buttonClass } from '../../platform/design/button.js';
import { FoldingPanel } from '../../platform/design/panel.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { pagePath } from '../../gather/material/page-path.js';
import { metres } from '../../platform/wording/figures.js';
import { TriedDevices } from '../tryout/tried-devices.js';
import { Advice } from './advice.js';
import { OtherReaders } from './other-readers.js';
import { ReachLanes } from './reach-lanes.js';
import type { RehearsalProgress } from './use-rehearsals.js';
import { useRemedies, type Remedies } from './use-remedies.js';
import { t } from '../words.js';

// Only who looks needs it.
const CameraView = lazy(() => import('./camera-view.js'));

/** Would the devices read it from where students stand? */
export function ReadsPart({ page, rehearsals }: Props): ReactElement | null {
  const { rehearsal, readiness, code } = page;
  if (!code) return null;
  const aside = t('readsPart.printedAtMmInEvening', { sizeMm: rehearsal.sizeMm });
  return (
    <FoldingPanel
      id="reads"
      name={t('readsPart.whatDevicesRead')}
      calm={readiness.reads.state === 'done' && !rehearsals.running}
      mark={<StateMark mark={readiness.reads.state} words={t('readsPart.reads')} />}
      title={headline(page)}
      aside={aside}
      action={<Actions page={page} rehearsals={rehearsals} />}
    >
      {rehearsal.devices.length === 0 ? (
        <p className="m-0 text-body">{t('readsPart.theSchoolHasNoDevices')}</p>
      ) : (
        <Rehearsed page={page} rehearsals={rehearsals} />
      )}
      <TriedDevices page={page} />
    </FoldingPanel>
  );
}

interface Props {
  readonly page: MaterialPage;
  readonly rehearsals: RehearsalProgress;
}

function Actions({ page, rehearsals }: Props): ReactElement {
  const { running, stopped, failed, stop, again } = rehearsals;
  const mayRehearse = !running && (stopped || failed) && page.rehearsal.results === null;
  return (
    <>
      <Link to={`${pagePath(page)}/try`} className={buttonClass()}>
        {t('readsPart.tryADevice')}
      </Link>
      {running && <Button onClick={stop}>{t('readsPart.stop')}</Button>}
      {mayRehearse && <Button onClick={again}>{t('readsPart.rehearse')}</Button>}
    </>
  );
}

function Rehearsed({ page, rehearsals }: Props): ReactElement {
  const { rehearsal, code } = page;
  const [looking, setLooking] = useState(false);
  const remedies = useRemedies(page);
  const results = rehearsal.results ?? (rehearsals.runningKey === rehearsal.key ? rehearsals.devices : []);
  return (
    <>
      <ReachLanes rehearsal={rehearsal} modules={code?.modules ?? 0} results={results} />
      <Legend rehearsal={rehearsal} rehearsals={rehearsals} read={results.length} />
      {rehearsal.results && <Advice page={page} results={rehearsal.results} remedies={remedies} />}
      <ByHand rehearsal={rehearsal} remedies={remedies} />
      {rehearsal.results && (
        <OtherReaders rehearsal={rehearsal} results={rehearsal.results} onOpen={rehearsals.askOthers} />
      )}
      <details className="mt-2 text-row" onToggle={(event) => setLooking(event.currentTarget.open)}>
        <summary className="w-fit cursor-pointer py-1 font-semibold">{t('readsPart.seeWhatTheCameraSees')}</summary>
        {looking && (
          <Suspense>
            <CameraView page={page} />
          </Suspense>
        )}
      </details>
    </>
  );
}

/** What the lanes show, and how far the rehearsal is. */
function Legend({
  rehearsal,
  rehearsals,
  read,
}: {
  readonly rehearsal: MaterialPage['rehearsal'];
  readonly rehearsals: RehearsalProgress;
  readonly read: number;
}): ReactElement {
  return (
    <p className="mt-2 mb-0 flex flex-wrap items-center gap-x-4 gap-y-1 text-note text-muted" role="status">
      <Key className="bg-done">{t('readsPart.read')}</Key>
      <Key className="hatched">{t('readsPart.sometimes')}</Key>
      <Key className="bg-line">{t('readsPart.notRead')}</Key>
      <span>
        {rehearsal.ownDistanceM === null
          ? t('readsPart.theLineStudentsAt', { metres: metres(rehearsal.distanceM) })
          : t('readsPart.theLineStudentsAtAt', { metres: metres(rehearsal.distanceM) })}
      </span>
      {rehearsals.running && (
        <span>
          {t('readsPart.rehearsingOfDevices', {
            now: Math.min(read + 1, rehearsal.devices.length),
            total: rehearsal.devices.length,
          })}
        </span>
      )}
      {rehearsals.failed && <span className="text-stop">{t('readsPart.theRehearsalFailedStartIt')}</span>}
    </p>
  );
}

/** Size or distance chosen by hand, and the way back. */
function ByHand({
  rehearsal: { chosenSizeMm, ownDistanceM, sizeMm },
  remedies: { print, pending },
}: {
  readonly rehearsal: MaterialPage['rehearsal'];
  readonly remedies: Remedies;
}): ReactElement | null {
  if (chosenSizeMm === null && ownDistanceM === null) return null;
  return (
    <p className="mt-2 mb-0 flex flex-wrap items-center gap-x-3 gap-y-1 text-row text-muted">
      {chosenSizeMm !== null && (
        <>
          <span>{t('readsPart.theSizeOfMmWas', { sizeMm })}</span>
          <Button disabled={pending} onClick={() => print({ sizeMm: null }, t('readsPart.usingTheComputedSize'))}>
            {t('readsPart.useTheComputedSize')}
          </Button>
        </>
      )}
      {ownDistanceM !== null && (
        <>
          <span>{t('readsPart.thisStationHasItsOwn')}</span>
          <Button
            disabled={pending}
            onClick={() => print({ viewingDistanceM: null }, t('readsPart.thisStationUsesTheLessons'))}
          >
            {t('readsPart.useTheLessons')}
          </Button>
        </>
      )}
    </p>
  );
}

function headline({ readiness: { reads } }: MaterialPage): string {
  if (reads.leastReachM === null) return t('readsPart.readsFrom');
  if (reads.leastReachM === 0) return t('readsPart.oneDeviceDoesNotRead');
  const who = reads.fallShort.length === 0 ? t('readsPart.everyDevice') : t('readsPart.theWeakestDevice');
  return t('readsPart.readsFromWith', { metres: metres(reads.leastReachM), who });
}

function Key({ className, children }: { readonly className: string; readonly children: string }): ReactElement {
  return (
    <span className="flex items-center gap-1.5">
      <span className={`h-3 w-5 rounded-fine ${className}`} aria-hidden /> {children}
    </span>
  );
}
