/** The code on which a look is tried: that of a material or of a lesson's first station, or one as codes usually are. */
import type { BenchView, DeviceView, MaterialPage } from '@hapset/contract';
import { drawCode, planSymbol, sizeForDistanceMm, type CodeDrawing, type ErrorCorrectionLevel, type LookDesign, type SymbolPlan } from '@hapset/core';
import { iconOf } from '@hapset/core/icons';
import { measureOnPage } from './measure.js';

export interface LookSample {
  readonly plan: SymbolPlan;
  readonly name: string;
  readonly sizeMm: number;
  readonly distanceM: number;
  readonly devices: readonly DeviceView[];
}

/** Null where no code holds the payload. */
export function sampleOf({ material, station, code, rehearsal }: MaterialPage): LookSample | null {
  return code && planned(code.payload, code.level, { name: station?.name ?? material.title, ...rehearsal });
}

export function sampleOfLesson({ rows }: BenchView): LookSample | null {
  const row = rows.find(({ code }) => code !== null);
  return row?.code ? planned(row.code.payload, row.code.level, { name: row.name, ...row.rehearsal }) : null;
}

/** Where no code is at hand. */
export function usualSample(devices: readonly DeviceView[]): LookSample | null {
  const distanceM = 1.5;
  const sample = planned('https://material.example/leaf/rock-pools', undefined, { name: 'Rock pools', sizeMm: 60, distanceM, devices });
  return sample && { ...sample, sizeMm: sizeForDistanceMm(sample.plan.modules, distanceM, devices, 150) };
}

function planned(payload: string, level: ErrorCorrectionLevel | undefined, { name, sizeMm, distanceM, devices }: Omit<LookSample, 'plan'>): LookSample | null {
  const plan = planSymbol(payload, level);
  return plan.ok ? { plan: plan.value, name, sizeMm, distanceM, devices } : null;
}

export function drawSample({ plan, name }: LookSample, look: LookDesign): CodeDrawing {
  return drawCode(plan, { look, name, iconOf, measure: measureOnPage });
}
