import type { DeviceView, RehearsalResult, RehearsalView } from '@hapset/contract';
import { foretell, reachShareOf, usualScene, type Foretold } from '@hapset/core';
import { useMemo, type ReactElement } from 'react';
import { StateMark, type Mark } from '../../platform/design/state-mark.js';
import { metres } from '../../platform/wording/figures.js';
import { t } from '../words.js';

interface Props {
  readonly rehearsal: RehearsalView;
  /** Modules a side of the symbol. */
  readonly modules: number;
  /** Results so far; devices without one are still to come. */
  readonly results: readonly RehearsalResult[];
}

/** One lane a device along a ruler in metres: read, hit and miss, not read, and the line where students stand. */
export function ReachLanes({ rehearsal, modules, results }: Props): ReactElement {
  const foretold = useForetold(rehearsal, modules);
  const farthest = Math.max(
    rehearsal.distanceM * 1.3,
    ...foretold.map(({ missesFromM }) => missesFromM),
    ...results.map((result) => result.hitAndMissM * 1.05),
  );
  const endM = Math.max(1, Math.ceil(farthest * 2) / 2);
  const share = (valueM: number): string => `${Math.min(100, (valueM / endM) * 100)}%`;
  return (
    <div className="pt-1">
      <div className="grid grid-cols-[1fr_26px] items-center gap-x-3 gap-y-1.5 sm:grid-cols-[170px_1fr_26px] sm:gap-y-2.5">
        {rehearsal.devices.map((device, index) => (
          <Lane
            key={device.id}
            device={device}
            foretold={foretold[index] ?? null}
            result={results.find((result) => result.deviceId === device.id) ?? null}
            distanceM={rehearsal.distanceM}
            share={share}
          />
        ))}
        <span className="hidden sm:block" />
        <Ruler endM={endM} share={share} />
        <span />
      </div>
    </div>
  );
}

/** What the predictor says at once, for each device. */
function useForetold({ devices, sizeMm, look }: RehearsalView, modules: number): readonly Foretold[] {
  return useMemo(
    () => devices.map((device) => foretell(device, sizeMm, modules, usualScene, look ? reachShareOf(look) : 1)),
    [devices, sizeMm, look, modules],
  );
}

function Lane({
  device,
  foretold,
  result,
  distanceM,
  share,
}: {
  readonly device: DeviceView;
  readonly foretold: Foretold | null;
  readonly result: RehearsalResult | null;
  readonly distanceM: number;
  readonly share: (valueM: number) => string;
}): ReactElement {
  const mark = result ? markOf(result, distanceM) : 'not-yet';
  const words = result
    ? laneWords(device, result, distanceM)
    : foretold
      ? t('reachLanes.expectedToNotRehearsedYet', { name: device.name, metres: metres(foretold.readsToM) })
      : t('reachLanes.notRehearsedYet', { name: device.name });
  return (
    <>
      <div className="col-span-2 flex min-w-0 items-baseline gap-2 leading-tight sm:col-span-1 sm:block">
        <div className="truncate text-row font-semibold">{device.name}</div>
        <div className="text-fine text-muted">
          {[
            device.count === null ? t('reachLanes.broughtFromHome') : String(device.count),
            `${device.previewHeightPx}p`,
          ].join(' · ')}
        </div>
      </div>
      <div className="relative h-[18px] rounded-fine bg-line" role="img" aria-label={words}>
        {result && <ResultBar result={result} share={share} />}
        {!result && foretold && <ForetoldBar foretold={foretold} share={share} />}
        <span className="absolute -inset-y-[5px] w-[2px] bg-ink" style={{ left: share(distanceM) }} />
      </div>
      <StateMark mark={mark} words={`${device.name}: ${markWords[mark]}`} />
    </>
  );
}

type Share = (valueM: number) => string;

function ResultBar({ result, share }: { readonly result: RehearsalResult; readonly share: Share }): ReactElement {
  return (
    <>
      <span className="hatched absolute inset-y-0 left-0 rounded-fine" style={{ width: share(result.hitAndMissM) }} />
      <span
        className="absolute inset-y-0 bg-done first:rounded-l-[4px]"
        style={{
          left: result.fromM > 0.5 ? share(result.fromM) : 0,
          right: `calc(100% - ${share(result.reachM)})`,
        }}
      />
      <span
        className="absolute inset-y-0 flex items-center pl-2 text-fine font-semibold text-sheet"
        style={{ left: result.fromM > 0.5 ? share(result.fromM) : 0 }}
      >
        {result.reachM > 0 ? metres(result.reachM) : ''}
      </span>
    </>
  );
}

function ForetoldBar({ foretold, share }: { readonly foretold: Foretold; readonly share: Share }): ReactElement {
  return (
    <span className="absolute inset-0 animate-pulse">
      <span className="hatched absolute inset-y-0 left-0 rounded-fine" style={{ width: share(foretold.missesFromM) }} />
      <span
        className="absolute inset-y-0 left-0 rounded-l-[4px] bg-done/45"
        style={{ width: share(foretold.readsToM) }}
      />
    </span>
  );
}

function Ruler({ endM, share }: { readonly endM: number; readonly share: (valueM: number) => string }): ReactElement {
  const step = endM > 6 ? 2 : endM > 3 ? 1 : 0.5;
  const ticks = Array.from({ length: Math.floor(endM / step) + 1 }, (_, index) => index * step);
  return (
    <div className="relative h-4 text-fine text-muted" aria-hidden>
      {ticks.map((tick) => (
        <span
          key={tick}
          className={`absolute whitespace-nowrap ${tick === 0 ? '' : tick === endM ? '-translate-x-full' : '-translate-x-1/2'}`}
          style={{ left: share(tick) }}
        >
          {t('reachLanes.m', { tick })}
        </span>
      ))}
    </div>
  );
}

const markWords: Readonly<Record<Mark, string>> = {
  done: t('reachLanes.reads'),
  'look-at': t('reachLanes.doesNotReadFromThere'),
  stop: t('reachLanes.doesNotRead'),
  'not-yet': t('reachLanes.notRehearsed'),
};

function markOf({ reachM, fromM, misread }: RehearsalResult, distanceM: number): Mark {
  if (misread !== null || reachM === 0) return 'stop';
  return reachM >= distanceM && fromM <= distanceM ? 'done' : 'look-at';
}

function laneWords(device: DeviceView, { reachM, hitAndMissM, fromM }: RehearsalResult, distanceM: number): string {
  if (reachM === 0) return t('reachLanes.doesNotReadAtAny', { name: device.name });
  const values = {
    name: device.name,
    near: metres(fromM),
    far: metres(reachM),
    farther: metres(hitAndMissM),
    distance: metres(distanceM),
  };
  const [hasNear, hasFarther] = [fromM > 0.5, hitAndMissM - reachM > 0.05];
  if (hasNear && hasFarther) return t('reachLanes.readsFromToSometimesTo', values);
  if (hasNear) return t('reachLanes.readsFromToStudentsStand', values);
  return hasFarther
    ? t('reachLanes.readsToSometimesToStudents', values)
    : t('reachLanes.readsToStudentsStandAt', values);
}
