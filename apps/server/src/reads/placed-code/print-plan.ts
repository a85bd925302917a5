/** The size at which a code would be printed now, and the key that names what is to be rehearsed for it. Pure. */
import { createHash } from 'node:crypto';
import type { DeviceView } from '@hapset/contract';
import {
  largestPosterCodeMm,
  plainLook,
  plainSurround,
  posterCodeMm,
  smallestPosterCodeMm,
  withoutSurround,
  type LookDesign,
  type PaperFormat,
} from '@hapset/core';
import type { MaterialCode } from '../../code/symbol/planned-symbols.js';
import type { Place } from '../../lessons/station/place.js';

/** Used where no lesson says how far students stand: an arm's length and a bit from a table or board. Metres. */
export const distanceWithoutLessonM = 1.5;

export interface PlannedPrint {
  readonly sizeMm: number;
  readonly chosenSizeMm: number | null;
  /** Side that a symbol of so many modules would have, mm: for what else the code could carry. */
  readonly sizeMmOf: (modules: number) => number;
  readonly largestMm: number;
  readonly distanceM: number;
  readonly ownDistanceM: number | null;
  readonly devices: readonly DeviceView[];
  /** Null for black squares on white. */
  readonly look: LookDesign | null;
  readonly rehearsalKey: string;
  /** Of everything that the key names but the payload. */
  readonly shapeKey: string;
}

/** With what and for whom it is printed. */
export interface PrintedOn {
  readonly devices: readonly DeviceView[];
  readonly paper: PaperFormat;
  readonly look: LookDesign;
}

/** The size at which a poster would be printed now, and what is to be rehearsed for it. */
export function planPrint(place: Place, code: MaterialCode, { devices, paper, look }: PrintedOn): PlannedPrint {
  const { station, lesson, material } = place;
  const ownDistanceM = station?.viewingDistanceM ?? null;
  const distanceM = ownDistanceM ?? lesson?.viewingDistanceM ?? distanceWithoutLessonM;
  const chosenSizeMm = station ? station.sizeMm : material.sizeMm;
  const surround = code.view?.drawing.surround ?? plainSurround;
  const sizeMmOf = (modules: number): number =>
    posterCodeMm({ modules, surround }, look, paper, { devices, distanceM }, chosenSizeMm);
  const sizeMm = code.view ? sizeMmOf(code.view.drawing.modules) : smallestPosterCodeMm;
  const largestMm = code.view
    ? largestPosterCodeMm(paper, code.view.drawing.modules, code.view.drawing.surround)
    : smallestPosterCodeMm;
  return {
    sizeMm,
    sizeMmOf,
    chosenSizeMm,
    largestMm,
    distanceM,
    ownDistanceM,
    devices,
    look: inPrint(look),
    ...keysOf(code, sizeMm, devices, look),
  };
}

/** Results of an older camera model are no results of this one. */
const cameraModel = 3;

/** What of a device changes what it reads. Their order is part of the key. */
const profileFields = [
  'id',
  'previewWidthPx',
  'previewHeightPx',
  'horizontalFovDeg',
  'nearestFocusM',
  'blurPx',
  'noiseGrey',
  'jpegQuality',
  'engine',
] as const satisfies readonly (keyof DeviceView)[];

/** Name what a rehearsal depends on; the distance is not part of it, since reach does not depend on it. */
function keysOf(
  { carried, plan }: MaterialCode,
  sizeMm: number,
  devices: readonly DeviceView[],
  look: LookDesign,
): Pick<PlannedPrint, 'rehearsalKey' | 'shapeKey'> {
  const profiles = devices.map((device) => profileFields.map((field) => device[field]));
  const level = plan?.level ?? null;
  return {
    rehearsalKey: hashOf([cameraModel, carried.payload, level, inPrint(look), sizeMm, profiles]),
    shapeKey: hashOf([cameraModel, 'shape', plan?.version ?? null, level, inPrint(look), sizeMm, profiles]),
  };
}

function hashOf(parts: readonly unknown[]): string {
  return createHash('sha256').update(JSON.stringify(parts)).digest('hex');
}

/** What of a look a camera meets: words and frame lie outside the quiet zone. */
function inPrint(look: LookDesign): LookDesign | null {
  const bare = withoutSurround(look);
  return JSON.stringify(bare) === JSON.stringify(plainLook) ? null : bare;
}
