/** The code on which a look is tried: that of a material or of a lesson's first station, or one as codes usually are. */
import type { BenchView, DeviceView, MaterialPage } from '@hapset/contract';
import {
  drawCode,
  planSymbol,
  posterCodeMm,
  type CodeDrawing,
  type ErrorCorrectionLevel,
  type LookDesign,
  type PaperFormat,
  type SymbolPlan,
} from '@hapset/core';
import { iconOf } from '@hapset/core/icons';
import { measureOnPage } from './measure.js';
import { t } from '../words.js';

export interface LookSample {
  readonly plan: SymbolPlan;
  readonly name: string;
  /** On which it is printed, for students who stand so far away. */
  readonly paper: PaperFormat;
  readonly distanceM: number;
  readonly devices: readonly DeviceView[];
}

/** Null where no code holds the payload. */
export function sampleOf({ material, station, code, rehearsal, paper }: MaterialPage): LookSample | null {
  return code && planned(code.payload, code.level, { ...rehearsal, name: station?.name ?? material.title, paper });
}

/** Of the first station with a code. */
export function sampleOfLesson({ rows }: BenchView): LookSample | null {
  const row = rows.find(({ code }) => code !== null);
  return row?.code
    ? planned(row.code.payload, row.code.level, { ...row.rehearsal, name: row.name, paper: 'A4' })
    : null;
}

/** Where no code is at hand. */
export function usualSample(devices: readonly DeviceView[]): LookSample | null {
  return planned('https://material.example/leaf/rock-pools', undefined, {
    name: t('sample.rockPools'),
    paper: 'A4',
    distanceM: 1.5,
    devices,
  });
}

function planned(
  payload: string,
  level: ErrorCorrectionLevel | undefined,
  { name, paper, distanceM, devices }: Omit<LookSample, 'plan'>,
): LookSample | null {
  const plan = planSymbol(payload, level);
  return plan.ok ? { plan: plan.value, name, paper, distanceM, devices } : null;
}

/** Width of the code on a poster in that look, mm. */
export function printedMm(sample: LookSample, look: LookDesign): number {
  return posterCodeMm(drawSample(sample, look), look, sample.paper, sample);
}

export function drawSample({ plan, name }: LookSample, look: LookDesign): CodeDrawing {
  return drawCode(plan, { look, name, iconOf, measure: measureOnPage });
}
