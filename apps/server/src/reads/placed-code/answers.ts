/** Facts -> what opens, what is carried and what reads, for a material in its place. Pure; the service collects the facts. */
import type { ReadinessView, RehearsalView } from '@hapset/contract';
import {
  actNeeded,
  ignoring,
  isStale,
  openStateAt,
  opensState,
  readsAnswer,
  standing,
  worse,
  type LookJudgement,
  type Opening,
  type StudentAccounts,
} from '@hapset/core';
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
}

export function toRehearsalView({ print, rehearsal }: CodeFacts): RehearsalView {
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

export function opensView({
  code,
  checks,
  opening,
  timeZone,
  accounts,
  now,
  lessonAt,
}: CodeFacts): ReadinessView['opens'] {
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
  const closed = opening !== null && !openStateAt(opening, Math.max(lessonAt ?? 0, now.getTime()), timeZone).open;
  return {
    ...lastOpened(checks, { accounts, closed, now, lessonAt }),
    opening: checks.pending !== null,
    steps: checks.steps,
    inTheCode: false,
    closed,
  };
}

/** What the last check said, and whether it is too old to rely on. */
function lastOpened(
  { done }: CodeFacts['checks'],
  { accounts, closed, now, lessonAt }: Pick<CodeFacts, 'accounts' | 'now' | 'lessonAt'> & { readonly closed: boolean },
): Pick<ReadinessView['opens'], 'state' | 'verdict' | 'checkedAt' | 'stale'> {
  const verdict = done?.verdict ?? null;
  const checkedAt = done?.finishedAt ?? null;
  const stale = checkedAt !== null && isStale(checkedAt.getTime(), now.getTime(), lessonAt);
  const state = closed ? 'stop' : opensState(verdict, accounts);
  return {
    state: stale && state === 'done' ? 'look-at' : state,
    verdict,
    checkedAt: checkedAt?.toISOString() ?? null,
    stale,
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

/** With what the school says about it. */
export function lookStanding(judgement: LookJudgement, allowed: boolean): ReturnType<typeof standing> {
  return standing(allowed ? judgement.reasons : [...judgement.reasons, 'not-allowed']);
}

/** What a look fails at is never rehearsed away: the worse of both counts. */
export function readsView({ code, look, print, rehearsal }: CodeFacts): ReadinessView['reads'] {
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
