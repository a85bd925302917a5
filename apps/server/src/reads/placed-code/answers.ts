/** Facts -> what opens, what is carried and what reads, for a material in its place. Pure; the service collects the facts. */
import type { ReadinessView, RehearsalResult, RehearsalView } from '@hapset/contract';
import {
  actNeeded,
  findObstacle,
  findUnplayed,
  formatsNeeded,
  ignoring,
  openStateAt,
  opensAnswer,
  readsAnswer,
  standing,
  worse,
  type LookJudgement,
  type Obstacle,
  type Opening,
  type StudentAccounts,
  type TriedDevice,
} from '@hapset/core';
import { dayIn } from '../../platform/clock/day-in.js';
import type { LastChecks } from '../../opens/access-check/access-check.service.js';
import type { ChosenLook } from '../../code/look/look.service.js';
import type { MaterialCode } from '../../code/symbol/planned-symbols.js';
import type { PlannedPrint } from './print-plan.js';
import type { Place } from '../../lessons/station/place.js';
import type { RehearsedResults } from '../rehearsal-results/rehearsal-results.service.js';

/** What is known of a material's code in its place. */
export interface CodeFacts {
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
  readonly rehearsal: RehearsedResults | null;
  /** What the devices made of a code of the same shape; null where its own rehearsal is complete. */
  readonly like: readonly RehearsalResult[] | null;
  /** What real devices last did with the code as it is now. */
  readonly tried: readonly TriedDevice[];
}

export function toRehearsalView({ print, rehearsal, like }: CodeFacts): RehearsalView {
  return {
    key: print.rehearsalKey,
    sizeMm: print.sizeMm,
    chosenSizeMm: print.chosenSizeMm,
    largestMm: print.largestMm,
    distanceM: print.distanceM,
    ownDistanceM: print.ownDistanceM,
    devices: print.devices,
    look: print.look,
    like,
    results: rehearsal?.results ?? null,
    unreadBy: rehearsal?.unreadBy ?? null,
    rehearsedAt: rehearsal?.rehearsedAt.toISOString() ?? null,
  };
}

export function opensView(facts: CodeFacts): ReadinessView['opens'] {
  const { code, checks } = facts;
  if (code.carried.carry === 'words') return inTheCode;
  const obstacle = obstacleOf(facts);
  const kept = checks.done?.evidence?.kept;
  const unplayed = findUnplayed(kept ? formatsNeeded(kept) : [], facts.print.devices);
  const opened = withView(lastOpened(facts), checks.done);
  const states = [opened.state, obstacle === null ? 'done' : 'stop', unplayed?.state ?? 'done'] as const;
  return {
    ...opened,
    // What nobody has looked at yet stays so, unless something is known to be in the way.
    state: opened.state === 'not-yet' && obstacle === null ? 'not-yet' : states.reduce(worse),
    opening: checks.pending !== null || opened.viewing,
    steps: checks.steps,
    inTheCode: false,
    obstacle,
    unplayed: unplayed && { formats: unplayed.formats, by: unplayed.by.map(({ name }) => name) },
  };
}

const inTheCode: ReadinessView['opens'] = {
  state: 'done',
  opening: false,
  viewing: false,
  viewId: null,
  verdict: null,
  reason: null,
  checkedAt: null,
  stale: false,
  steps: 0,
  inTheCode: true,
  obstacle: null,
  unplayed: null,
  answer: null,
  answerBefore: null,
};

/** What seems to open may have something drawn over it: nothing is said of it until a browser has looked. */
function withView<Opened extends Pick<ReadinessView['opens'], 'state' | 'answer'>>(
  opened: Opened,
  done: LastChecks['done'],
): Opened & Pick<ReadinessView['opens'], 'viewing' | 'viewId'> {
  const viewing = done?.view === 'waiting' || done?.view === 'drawing';
  const mayBeCovered = viewing && opened.state === 'done' && opened.answer === null;
  const viewId = done?.viewKey ? done.id : null;
  return { ...opened, ...(mayBeCovered && { state: 'not-yet' }), viewing, viewId };
}

function obstacleOf({ code, place, opening, timeZone, now, lessonAt }: CodeFacts): Obstacle | null {
  const wantedAt = Math.max(lessonAt ?? 0, now.getTime());
  const { shownUntil, pageToken } = place.material;
  const { carry, payload } = code.carried;
  return findObstacle({
    shownUntil: pageToken === null ? null : shownUntil,
    wantedOn: dayIn(timeZone, new Date(wantedAt)),
    leadsOn: opening === null || openStateAt(opening, wantedAt, timeZone).open,
    ownAddress: carry === 'short-link' || pageToken !== null ? payload : null,
  });
}

/** What the last check said, or a person where that decides, and whether it is too old to rely on. */
function lastOpened({
  checks: { done, answer },
  accounts,
  now,
  lessonAt,
}: CodeFacts): Pick<
  ReadinessView['opens'],
  'state' | 'verdict' | 'reason' | 'checkedAt' | 'stale' | 'answer' | 'answerBefore'
> {
  const { verdict, finishedAt: checkedAt, reasons } = done ?? { verdict: null, finishedAt: null, reasons: null };
  const said = answer && {
    opens: answer.said.opens,
    at: Date.parse(answer.said.at),
    otherPage: answer.otherPage,
  };
  const { state, stale, byPerson } = opensAnswer(
    { verdict, checkedAt: checkedAt && checkedAt.getTime(), answer: said, accounts },
    now.getTime(),
    lessonAt,
  );
  return {
    state,
    verdict,
    reason: reasons?.[0]?.reason ?? null,
    checkedAt: checkedAt && checkedAt.toISOString(),
    stale,
    answer: byPerson && answer ? answer.said : null,
    answerBefore: answer?.otherPage === true ? answer.said : null,
  };
}

export function carriesView({ code, place, print }: CodeFacts): ReadinessView['carries'] {
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

/** With what readers and the school say about it. */
export function lookStanding(
  { reasons }: LookJudgement,
  { allowed, readFlat }: { readonly allowed: boolean; readonly readFlat: boolean },
): ReturnType<typeof standing> {
  return standing([
    ...reasons,
    ...(readFlat ? [] : (['not-read-flat'] as const)),
    ...(allowed ? [] : (['not-allowed'] as const)),
  ]);
}

/** An engine that fails there reads it nowhere. Nothing is known before the rehearsal. */
export function isReadFlat(rehearsal: RehearsedResults | null): boolean {
  return rehearsal === null || rehearsal.unreadBy.length === 0;
}

/** What a look fails at is never rehearsed away: the worse of both counts. */
export function readsView({ code, look, print, rehearsal, tried }: CodeFacts): ReadinessView['reads'] {
  // Devices of other classes say nothing about this one.
  const nameOf = new Map(print.devices.map(({ id, name }) => [id, name]));
  const own = tried.filter(({ deviceId }) => deviceId === null || nameOf.has(deviceId));
  const answer = readsAnswer(rehearsal?.results ?? null, print.distanceM, own);
  const names = print.devices.filter((device) => answer.fallShort.includes(device.id)).map((device) => device.name);
  const { state, reasons } = code.judgement
    ? lookStanding(code.judgement, { allowed: look.allowed, readFlat: isReadFlat(rehearsal) })
    : { state: 'done' as const, reasons: [] };
  return {
    state: worse(answer.state, state),
    leastReachM: answer.leastReachM,
    distanceM: print.distanceM,
    devices: print.devices.length,
    fallShort: names,
    failed: answer.failed.map((id) => (id === null ? null : (nameOf.get(id) ?? null))),
    look: reasons,
  };
}
