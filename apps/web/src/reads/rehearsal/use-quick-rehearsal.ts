/** The weakest device alone, rehearsed while something is being designed: each change starts it anew. */
import type { DeviceView, RehearsalResult } from '@hapset/contract';
import { weakestDevice, type LookDesign, type SymbolPlan } from '@hapset/core';
import { useEffect, useState } from 'react';
import type { RehearsalWish } from '../reader/reader.messages.js';
import { rehearse } from './rehearse.js';

export interface QuickRehearsal {
  /** Null without devices. */
  readonly device: DeviceView | null;
  /** Null while it runs. */
  readonly result: RehearsalResult | null;
  readonly failed: boolean;
}

export interface QuickWish {
  readonly plan: SymbolPlan;
  readonly look: LookDesign;
  readonly sizeMm: number;
  readonly devices: readonly DeviceView[];
}

/** A change that is followed by another within that time is not rehearsed. */
const pauseMs = 350;

export function useQuickRehearsal({ plan, look, sizeMm, devices }: QuickWish): QuickRehearsal {
  const device = weakestDevice(devices, sizeMm, plan.modules);
  // What is to be rehearsed as text: the same wish again is no change, however often it is made.
  const wish =
    device &&
    JSON.stringify({
      payload: plan.payload,
      level: plan.level,
      look,
      sizeMm,
      devices: [device],
    } satisfies RehearsalWish);
  const [done, setDone] = useState<{ readonly wish: string; readonly result: RehearsalResult | null } | null>(null);
  useEffect(() => {
    if (wish === null) return;
    const leave = new AbortController();
    const run = (): void => {
      rehearse(JSON.parse(wish) as RehearsalWish, leave.signal, () => undefined)
        .then(([result = null]) => setDone({ wish, result }))
        .catch(() => {
          if (!leave.signal.aborted) setDone({ wish, result: null });
        });
    };
    const timer = setTimeout(run, pauseMs);
    return () => {
      clearTimeout(timer);
      leave.abort();
    };
  }, [wish]);
  const known = done !== null && done.wish === wish;
  return { device, result: known ? done.result : null, failed: known && done.result === null };
}
