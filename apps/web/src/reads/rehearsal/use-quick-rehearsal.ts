/** The weakest device alone, rehearsed while something is being designed: each change starts it again. */
import type { DeviceView, RehearsalResult } from '@hapset/contract';
import { weakestDevice, type LookDesign, type ReaderEngineName, type SymbolPlan } from '@hapset/core';
import { useEffect, useState } from 'react';
import { rehearse, type CodeToRehearse } from './rehearse.js';

export interface QuickRehearsal {
  /** Null without devices. */
  readonly device: DeviceView | null;
  /** Null while it runs. */
  readonly result: RehearsalResult | null;
  readonly failed: boolean;
  /** Engines that can't read it even flat; none while that is not known. */
  readonly unreadBy: readonly ReaderEngineName[];
}

export interface QuickRequest {
  readonly plan: SymbolPlan;
  readonly look: LookDesign;
  readonly sizeMm: number;
  readonly devices: readonly DeviceView[];
}

interface Done {
  /** What was rehearsed, as text. */
  readonly request: string;
  readonly result: RehearsalResult | null;
  readonly unreadBy: readonly ReaderEngineName[];
}

/** A change that is followed by another within that time is not rehearsed. */
const pauseMs = 350;

export function useQuickRehearsal({ plan, look, sizeMm, devices }: QuickRequest): QuickRehearsal {
  const device = weakestDevice(devices, sizeMm, plan.modules);
  // What is to be rehearsed as text: the same request again is no change, however often it is made.
  const request =
    device &&
    JSON.stringify({
      payload: plan.payload,
      level: plan.level,
      look,
      sizeMm,
      devices: [device],
    } satisfies CodeToRehearse);
  const [done, setDone] = useState<Done | null>(null);
  useEffect(() => {
    if (request === null) return;
    const leave = new AbortController();
    const run = (): void => {
      rehearse(JSON.parse(request) as CodeToRehearse, leave.signal, () => undefined)
        .then(({ results: [result = null], unreadBy }) => setDone({ request, result, unreadBy }))
        .catch(() => {
          if (!leave.signal.aborted) setDone({ request, result: null, unreadBy: [] });
        });
    };
    const timer = setTimeout(run, pauseMs);
    return () => {
      clearTimeout(timer);
      leave.abort();
    };
  }, [request]);
  const known = done !== null && done.request === request;
  return {
    device,
    result: known ? done.result : null,
    failed: known && done.result === null,
    unreadBy: known ? done.unreadBy : [],
  };
}
