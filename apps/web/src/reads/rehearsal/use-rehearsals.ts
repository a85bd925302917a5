/**
 * Rehearses what has no result yet, one after the other, and hands the results in. The engines that don't decide follow
 * where somebody looks at them.
 */
import { routes, type CodeView, type RehearsalResult, type RehearsalView } from '@hapset/contract';
import { useCallback, useEffect, useState } from 'react';
import { call } from '../../platform/api/client.js';
import { isAway } from '../../platform/api/problem-error.js';
import { serverState } from '../../platform/api/server-state.js';
import { routeFor, type PlaceId } from '../../gather/material/place-id.js';
import { planRehearsals, type RehearsalOrder, type RehearsalPlace } from './plan-rehearsals.js';
import { rehearse, rehearseOthers, type CodeToRehearse, type Rehearsed } from './rehearse.js';
import { useMaterialsChanged } from '../../platform/api/materials-changed.js';

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
  /** Asks the engines that don't decide as well, last of all. */
  readonly askOthers: () => void;
}

interface Task {
  readonly place: PlaceId;
  /** Names what is rehearsed; results are handed in under it. */
  readonly key: string;
  readonly request: CodeToRehearse;
  /** What decides is known: the other engines are asked. */
  readonly known: Rehearsed | null;
}

function taskOf(
  place: PlaceId,
  { payload, level }: CodeView,
  { key, look, sizeMm, devices, results, unreadBy, like }: RehearsalView,
): Task {
  return {
    place,
    key,
    request: { payload, level, look, sizeMm, devices, like: like ?? [] },
    known: results && { results, unreadBy: unreadBy ?? [] },
  };
}

async function handIn(place: PlaceId, rehearsalKey: string, { results, unreadBy }: Rehearsed): Promise<void> {
  const { route, params } = routeFor(place, routes.saveStationRehearsal, routes.saveMaterialRehearsal);
  await call(route, { params: { ...params, rehearsalKey }, body: { results, unreadBy } }).catch((error: unknown) => {
    // Something changed meanwhile: the page is loaded again and says what is to be rehearsed now.
    if ((error as { reason?: string }).reason !== 'rehearsal-outdated') throw error;
  });
}

interface Run {
  readonly key: string | null;
  readonly devices: readonly RehearsalResult[];
}

/** `away`: it goes on by itself once the server answers. */
type Halt = 'stopped' | 'failed' | 'away';

function haltFor(error: unknown): Halt {
  return isAway(error) ? 'away' : 'failed';
}

export function useRehearsals(places: readonly RehearsalPlace[], order: RehearsalOrder = {}): RehearsalProgress {
  const changed = useMaterialsChanged();
  const [halt, setHalt] = useState<Halt | null>(null);
  const [run, setRun] = useState<Run>({ key: null, devices: [] });
  // Rehearsed and on its way to the server: the next one does not wait for that.
  const [handedIn, setHandedIn] = useState<ReadonlySet<string>>(new Set());
  const [withOthers, setWithOthers] = useState(false);
  const { done, of, next } = planRehearsals(places, { ...order, withOthers, handedIn, runningKey: run.key });
  // What is to be done as text: `next` itself is new with every look at the server.
  const task = next?.code && halt === null ? JSON.stringify(taskOf(next.place, next.code, next.rehearsal)) : null;

  // What is on its way to the server stays in sight until it comes back from there.
  const shown = task !== null || handedIn.has(run.key ?? '');

  useEffect(() => {
    if (task === null) return;
    const { place, key, request, known } = JSON.parse(task) as Task;
    const leave = new AbortController();
    const work = async (): Promise<void> => {
      setRun({ key, devices: [] });
      const rehearsed = known
        ? { ...known, results: await rehearseOthers(request, known.results, leave.signal) }
        : await rehearse(request, leave.signal, (result) => {
            if (!leave.signal.aborted) setRun((before) => ({ ...before, devices: [...before.devices, result] }));
          });
      if (leave.signal.aborted) return;
      if (!known) setHandedIn((before) => new Set(before).add(key));
      // Whatever is rehearsed next: from here on nothing is aborted, and a failure stops the rest.
      await handIn(place, key, rehearsed).then(changed, (error: unknown) => setHalt(haltFor(error)));
    };
    work().catch((error: unknown) => {
      if (!leave.signal.aborted) setHalt(haltFor(error));
    });
    return () => leave.abort();
  }, [task, changed]);

  const again = useCallback((): void => {
    setHandedIn(new Set());
    setHalt(null);
  }, []);
  useEffect(() => (halt === 'away' ? serverState.onReturn(again) : undefined), [halt, again]);

  return {
    running: task !== null && next?.rehearsal.results === null,
    stopped: halt === 'stopped',
    failed: halt === 'failed',
    done,
    of,
    devices: shown ? run.devices : [],
    runningKey: shown ? run.key : null,
    stop: () => setHalt('stopped'),
    again,
    askOthers: () => setWithOthers(true),
  };
}
