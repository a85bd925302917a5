/** Facts -> the four answers of a material in its place. Pure; the service collects the facts. */
import { createHash } from 'node:crypto';
import type { DeviceView, ReadinessView, RehearsalView } from '@hapset/contract';
import {
  actNeeded,
  ignoring,
  isStale,
  largestPosterCodeMm,
  openStateAt,
  opensState,
  paperAnswer,
  plainLook,
  posterCodeMm,
  readsAnswer,
  smallestPosterCodeMm,
  standing,
  withoutSurround,
  worse,
  type LookDesign,
  type LookJudgement,
  type Opening,
  type PaperFormat,
  type StudentAccounts,
} from '@hapset/core';
import type { LastChecks } from '../../opens/access-check/access-check.service.js';
import type { Lesson } from '../../lessons/lesson/lesson.entity.js';
import type { ChosenLook } from '../../code/look/look.service.js';
import type { Material } from '../../gather/material/material.entity.js';
import type { Rehearsal } from '../../reads/rehearsal/rehearsal.entity.js';
import type { Sheet } from '../../paper/sheet/sheet.entity.js';
import type { Station } from '../../lessons/station/station.entity.js';
import type { MaterialCode } from '../../code/symbol/planned-symbols.js';

/** Where a material stands: as a station of a lesson, or on its own. */
export interface Place {
  readonly material: Material;
  readonly station: Station | null;
  readonly lesson: Lesson | null;
}

/** Used where no lesson says how far students stand: an arm's length and a bit from a table or board. Metres. */
export const distanceWithoutLessonM = 1.5;

export interface PlannedPrint {
  readonly sizeMm: number;
  readonly chosenSizeMm: number | null;
  readonly largestMm: number;
  readonly distanceM: number;
  readonly ownDistanceM: number | null;
  readonly devices: readonly DeviceView[];
  /** Null for black squares on white. */
  readonly look: LookDesign | null;
  readonly rehearsalKey: string;
}

/** The size at which a poster would be printed now, and what is to be rehearsed for it. */
export function planPrint(
  place: Place,
  code: MaterialCode,
  devices: readonly DeviceView[],
  paper: PaperFormat,
  look: LookDesign,
): PlannedPrint {
  const { station, lesson, material } = place;
  const ownDistanceM = station?.viewingDistanceM ?? null;
  const distanceM = ownDistanceM ?? lesson?.viewingDistanceM ?? distanceWithoutLessonM;
  const chosenSizeMm = station ? station.sizeMm : material.sizeMm;
  const sizeMm = code.view
    ? posterCodeMm(code.view.drawing, look, paper, distanceM, devices, chosenSizeMm)
    : smallestPosterCodeMm;
  const largestMm = code.view
    ? largestPosterCodeMm(paper, code.view.drawing.modules, code.view.drawing.surround)
    : smallestPosterCodeMm;
  return {
    sizeMm,
    chosenSizeMm,
    largestMm,
    distanceM,
    ownDistanceM,
    devices,
    look: inPrint(look),
    rehearsalKey: keyOf(code, sizeMm, devices, look),
  };
}

/** Results of an older camera model are no results of this one. */
const cameraModel = 2;

/** Names what a rehearsal depends on; the distance is not part of it, since reach does not depend on it. */
function keyOf(
  { carried, plan }: MaterialCode,
  sizeMm: number,
  devices: readonly DeviceView[],
  look: LookDesign,
): string {
  const profiles = devices.map(
    ({
      id,
      previewWidthPx,
      previewHeightPx,
      horizontalFovDeg,
      nearestFocusM,
      blurPx,
      noiseGrey,
      jpegQuality,
      engine,
    }) => [
      id,
      previewWidthPx,
      previewHeightPx,
      horizontalFovDeg,
      nearestFocusM,
      blurPx,
      noiseGrey,
      jpegQuality,
      engine,
    ],
  );
  return createHash('sha256')
    .update(JSON.stringify([cameraModel, carried.payload, plan?.level ?? null, inPrint(look), sizeMm, profiles]))
    .digest('hex');
}

/** What of a look a camera meets: words and frame lie outside the quiet zone. */
function inPrint(look: LookDesign): LookDesign | null {
  const bare = withoutSurround(look);
  return JSON.stringify(bare) === JSON.stringify(plainLook) ? null : bare;
}

export interface StandingFacts {
  readonly place: Place;
  readonly code: MaterialCode;
  readonly look: ChosenLook;
  readonly print: PlannedPrint;
  readonly checks: LastChecks;
  /** When its short link leads on; null where that is always, or where none is carried. */
  readonly opening: Opening | null;
  readonly timeZone: string;
  /** Those of the class's students; of none without a class. */
  readonly accounts: StudentAccounts;
  readonly now: Date;
  /** When the lesson begins; null without a day. */
  readonly lessonAt: number | null;
  readonly rehearsal: Rehearsal | null;
  readonly lastSheet: Sheet | null;
  /** Size for which the last sheet would be rehearsed now. */
  readonly sizeNowMm: number;
}

export function toReadinessView(facts: StandingFacts): ReadinessView {
  return { opens: opens(facts), carries: carries(facts), reads: reads(facts), paper: onPaper(facts) };
}

export function toRehearsalView({ print, rehearsal }: StandingFacts): RehearsalView {
  return {
    key: print.rehearsalKey,
    sizeMm: print.sizeMm,
    chosenSizeMm: print.chosenSizeMm,
    largestMm: print.largestMm,
    distanceM: print.distanceM,
    ownDistanceM: print.ownDistanceM,
    devices: print.devices,
    look: print.look,
    results: rehearsal?.results ?? null,
    rehearsedAt: rehearsal?.rehearsedAt.toISOString() ?? null,
  };
}

function opens({ code, checks, opening, timeZone, accounts, now, lessonAt }: StandingFacts): ReadinessView['opens'] {
  if (code.carried.carry === 'words')
    return {
      state: 'done',
      opening: false,
      verdict: null,
      checkedAt: null,
      stale: false,
      steps: 0,
      inTheCode: true,
      closed: false,
    };
  const verdict = checks.done?.verdict ?? null;
  const checkedAt = checks.done?.finishedAt ?? null;
  const stale = checkedAt !== null && isStale(checkedAt.getTime(), now.getTime(), lessonAt);
  const closed = opening !== null && !openStateAt(opening, Math.max(lessonAt ?? 0, now.getTime()), timeZone).open;
  const state = closed ? 'stop' : opensState(verdict, accounts);
  return {
    state: stale && state === 'done' ? 'look-at' : state,
    opening: checks.pending !== null,
    verdict,
    checkedAt: checkedAt?.toISOString() ?? null,
    stale,
    steps: checks.steps,
    inTheCode: false,
    closed,
  };
}

function carries({ code, place, print }: StandingFacts): ReadinessView['carries'] {
  const { carry } = code.carried;
  const act = actNeeded(carry, place.material.content?.kind ?? null);
  const ignoredBy = ignoring(print.devices, act).map(({ name }) => name);
  if (!code.view) return { state: 'stop', carry, grain: null, modules: null, act, ignoredBy };
  const { grain, modules } = code.view;
  return {
    state: grain === 'very-fine' || ignoredBy.length > 0 ? 'look-at' : 'done',
    carry,
    grain,
    modules,
    act,
    ignoredBy,
  };
}

/** With what the school says about it. */
export function lookStanding(judgement: LookJudgement, allowed: boolean): ReturnType<typeof standing> {
  return standing(allowed ? judgement.reasons : [...judgement.reasons, 'not-allowed']);
}

/** What a look fails at is never rehearsed away: the worse of both counts. */
function reads({ code, look, print, rehearsal }: StandingFacts): ReadinessView['reads'] {
  const answer = readsAnswer(rehearsal?.results ?? null, print.distanceM);
  const names = print.devices.filter((device) => answer.fallShort.includes(device.id)).map((device) => device.name);
  const { state, reasons } = code.judgement
    ? lookStanding(code.judgement, look.allowed)
    : { state: 'done' as const, reasons: [] };
  return {
    state: worse(answer.state, state),
    leastReachM: answer.leastReachM,
    distanceM: print.distanceM,
    devices: print.devices.length,
    fallShort: names,
    look: reasons,
  };
}

/** The size for which it was rehearsed when it was printed; sheets that are older than the composer were printed at just that. */
export function rehearsedMmOf({ content, sizeMm }: Sheet): number {
  return content.more?.rehearsedMm ?? sizeMm;
}

function onPaper({ code, look, lastSheet, sizeNowMm }: StandingFacts): ReadinessView['paper'] {
  const printed = lastSheet && {
    payload: lastSheet.content.payload,
    level: lastSheet.content.level ?? null,
    look: lastSheet.content.look ?? plainLook,
    sizeMm: rehearsedMmOf(lastSheet),
  };
  const answer = paperAnswer(printed, {
    payload: code.carried.payload,
    level: code.plan?.level ?? null,
    look: look.design,
    sizeMm: sizeNowMm,
  });
  return { ...answer, sizeMm: lastSheet?.sizeMm ?? null, madeAt: lastSheet?.madeAt.toISOString() ?? null };
}
