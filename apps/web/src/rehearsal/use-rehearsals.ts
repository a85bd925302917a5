/** Rehearses what has no result yet, one after the other, and hands the results in. */
import { routes, type CodeView, type RehearsalResult, type RehearsalView } from '@hapset/contract';
import { useEffect, useState } from 'react';
import { call } from '../api/client.js';
import { useLessonsChanged } from '../lesson/lesson.queries.js';
import { routeFor, type PlaceId } from '../material/place-id.js';
import { rehearse } from './rehearse.js';

export interface RehearsalPlace {
  readonly place: PlaceId;
  readonly code: CodeView | null;
  readonly rehearsal: RehearsalView;
}

export interface RehearsalProgress {
  readonly running: boolean;
  readonly stopped: boolean;
  readonly failed: boolean;
  readonly done: number;
  readonly of: number;
  /** Devices finished of the one that runs. */
  readonly devices: readonly RehearsalResult[];
  readonly runningKey: string | null;
  readonly stop: () => void;
  readonly again: () => void;
}

interface Run {
  readonly key: string | null;
  readonly devices: readonly RehearsalResult[];
}

export function useRehearsals(places: readonly RehearsalPlace[]): RehearsalProgress {
  const changed = useLessonsChanged();
  const [halt, setHalt] = useState<'stopped' | 'failed' | null>(null);
  const [run, setRun] = useState<Run>({ key: null, devices: [] });
  const wanted = places.filter((place) => place.code !== null && place.rehearsal.devices.length > 0);
  const next = wanted.find((place) => place.rehearsal.results === null) ?? null;
  const nextKey = next && halt === null ? `${JSON.stringify(next.place)} ${next.rehearsal.key}` : null;

  useEffect(() => {
    if (nextKey === null || !next?.code) return;
    const { place, code, rehearsal } = next;
    const leave = new AbortController();
    const work = async (): Promise<void> => {
      setRun({ key: rehearsal.key, devices: [] });
      const results = await rehearse({ payload: code.payload, level: code.level, look: rehearsal.look, sizeMm: rehearsal.sizeMm, devices: rehearsal.devices }, leave.signal, (result) => {
        if (!leave.signal.aborted) setRun((before) => ({ ...before, devices: [...before.devices, result] }));
      });
      const { route, params } = routeFor(place, routes.saveStationRehearsal, routes.saveMaterialRehearsal);
      await call(route, { params: { ...params, rehearsalKey: rehearsal.key }, body: { results } }).catch((error: unknown) => {
        // Something changed meanwhile: the page is loaded again and says what is to be rehearsed now.
        if ((error as { reason?: string }).reason !== 'rehearsal-outdated') throw error;
      });
      await changed();
    };
    work().catch(() => {
      if (!leave.signal.aborted) setHalt('failed');
    });
    return () => leave.abort();
    // The key stands for everything that the work depends on; `next` itself is new with every look at the server.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [nextKey]);

  return {
    running: nextKey !== null,
    stopped: halt === 'stopped',
    failed: halt === 'failed',
    done: wanted.filter((place) => place.rehearsal.results !== null).length,
    of: wanted.length,
    devices: nextKey === null ? [] : run.devices,
    runningKey: nextKey === null ? null : run.key,
    stop: () => setHalt('stopped'),
    again: () => setHalt(null),
  };
}
