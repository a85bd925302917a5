/** The weakest device alone, rehearsed while something is being designed: each change starts it anew. */
import type { DeviceView, RehearsalResult } from '@hapset/contract';
import { predictReachM, type LookDesign, type SymbolPlan } from '@hapset/core';
import { useEffect, useState } from 'react';
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

export function useQuickRehearsal(wish: QuickWish | null): QuickRehearsal {
  const device = wish ? weakest(wish.devices, wish.sizeMm, wish.plan.modules) : null;
  const key = wish && device ? JSON.stringify([wish.plan.payload, wish.plan.level, wish.look, wish.sizeMm, device]) : null;
  const [done, setDone] = useState<{ readonly key: string; readonly result: RehearsalResult | null } | null>(null);
  useEffect(() => {
    if (key === null || !wish || !device) return;
    const leave = new AbortController();
    const { plan, look, sizeMm } = wish;
    const run = (): void => {
      rehearse({ payload: plan.payload, level: plan.level, look, sizeMm, devices: [device] }, leave.signal, () => undefined)
        .then(([result = null]) => setDone({ key, result }))
        .catch(() => {
          if (!leave.signal.aborted) setDone({ key, result: null });
        });
    };
    const timer = setTimeout(run, pauseMs);
    return () => {
      clearTimeout(timer);
      leave.abort();
    };
    // The key stands for everything that is rehearsed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  const known = done !== null && done.key === key;
  return { device, result: known ? done.result : null, failed: known && done.result === null };
}

function weakest(devices: readonly DeviceView[], sizeMm: number, modules: number): DeviceView | null {
  const reach = (device: DeviceView): number => predictReachM(device, sizeMm, modules);
  return devices.reduce<DeviceView | null>((worst, device) => (worst === null || reach(device) < reach(worst) ? device : worst), null);
}
