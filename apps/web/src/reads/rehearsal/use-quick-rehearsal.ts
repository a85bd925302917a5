/** The weakest device alone, rehearsed while something is being designed: each change starts it again. */
import type { DeviceView, RehearsalResult } from '@hapset/contract';
import { weakestDevice, type LookDesign, type SymbolPlan } from '@hapset/core';
import { useEffect, useState } from 'react';
import type { RehearsalRequest } from '../reader/reader.messages.js';
import { rehearse } from './rehearse.js';

export interface QuickRehearsal {
  /** Null without devices. */
  readonly device: DeviceView | null;
  /** Null while it runs. */
  readonly result: RehearsalResult | null;
  readonly failed: boolean;
}

export interface QuickRequest {
  readonly plan: SymbolPlan;
  readonly look: LookDesign;
  readonly sizeMm: number;
  readonly devices: readonly DeviceView[];
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
    } satisfies RehearsalRequest);
  const [done, setDone] = useState<{ readonly request: string; readonly result: RehearsalResult | null } | null>(null);
  useEffect(() => {
    if (request === null) return;
    const leave = new AbortController();
    const run = (): void => {
      rehearse(JSON.parse(request) as RehearsalRequest, leave.signal, () => undefined)
        .then(([result = null]) => setDone({ request, result }))
        .catch(() => {
          if (!leave.signal.aborted) setDone({ request, result: null });
        });
    };
    const timer = setTimeout(run, pauseMs);
    return () => {
      clearTimeout(timer);
      leave.abort();
    };
  }, [request]);
  const known = done !== null && done.request === request;
  return { device, result: known ? done.result : null, failed: known && done.result === null };
}
