/** The four answers of a station: opens, carries, reads, on paper. Each has a state, and the facts behind it. */
import type { AccessVerdict } from '../../gather/service-description/access-verdict.js';
import type { LookDesign } from '../../code/look/look.js';
import { unreachable } from '../../platform/result.js';
import type { ErrorCorrectionLevel } from '../../code/symbol/versions.js';

export const answerStates = ['done', 'look-at', 'stop', 'not-yet'] as const;
export type AnswerState = (typeof answerStates)[number];

export const studentAccounts = ['none', 'school'] as const;
/** Which accounts a class's students have: none, or one of the school. */
export type StudentAccounts = (typeof studentAccounts)[number];

/** What a verdict means for a station. Verdicts between done and stop are to be looked at. `accounts`: those of the class. */
export function opensState(verdict: AccessVerdict | null, accounts: StudentAccounts): AnswerState {
  switch (verdict) {
    case null:
      return 'not-yet';
    case 'open':
      return 'done';
    case 'organisation':
      return accounts === 'school' ? 'done' : 'stop';
    case 'open-editable':
    case 'partial':
    case 'obstructed':
    case 'unknown':
      return 'look-at';
    case 'sign-in':
    case 'named-only':
    case 'closed':
    case 'missing':
    case 'failing':
    case 'refused':
      return 'stop';
    default:
      return unreachable(verdict);
  }
}

/** The worse of two: what stops, then what is to be looked at, then what is not known yet. */
export function worse(one: AnswerState, other: AnswerState): AnswerState {
  return badness.find((state) => state === one || state === other) ?? one;
}
const badness: readonly AnswerState[] = ['stop', 'look-at', 'not-yet', 'done'];

const dayMs = 24 * 3600 * 1000;
/** A verdict older than this says little about tomorrow. */
const staleAfterMs = 14 * dayMs;

/** Too old to rely on: two weeks, or a day where the lesson is within the next. All in milliseconds since 1970; `lessonAt` null without a day. */
export function isStale(checkedAt: number, now: number, lessonAt: number | null): boolean {
  const soon = lessonAt !== null && lessonAt > now && lessonAt - now <= dayMs;
  return now - checkedAt > (soon ? dayMs : staleAfterMs);
}

export interface DeviceReach {
  readonly deviceId: string;
  /** Reads from here ... */
  readonly fromM: number;
  /** ... to here, metres. */
  readonly reachM: number;
  readonly misread: unknown;
}

export interface ReadsAnswer {
  readonly state: AnswerState;
  /** Reach of the weakest device, metres; null before a rehearsal. */
  readonly leastReachM: number | null;
  /** Devices that don't read from where students stand. */
  readonly fallShort: readonly string[];
}

/** All devices must reach the distance; one that returns other characters than were meant stops. */
export function readsAnswer(reaches: readonly DeviceReach[] | null, distanceM: number): ReadsAnswer {
  if (reaches === null || reaches.length === 0) return { state: 'not-yet', leastReachM: null, fallShort: [] };
  const leastReachM = Math.min(...reaches.map((reach) => reach.reachM));
  const fallShort = reaches
    .filter((reach) => reach.reachM < distanceM || reach.fromM > distanceM)
    .map((reach) => reach.deviceId);
  if (reaches.some((reach) => reach.misread !== null && reach.misread !== undefined) || leastReachM === 0)
    return { state: 'stop', leastReachM, fallShort };
  return { state: fallShort.length > 0 ? 'look-at' : 'done', leastReachM, fallShort };
}

export const paperChanges = ['payload', 'level', 'look', 'size'] as const;
export type PaperChange = (typeof paperChanges)[number];
export interface PrintedFacts {
  readonly payload: string;
  /** Null where it is not known. */
  readonly level: ErrorCorrectionLevel | null;
  readonly look: LookDesign;
  readonly sizeMm: number;
}

export interface PaperAnswer {
  readonly state: AnswerState;
  readonly changed: readonly PaperChange[];
}

/** Printed before the change: the code on the wall says something else, or has another size, than a sheet made now. */
export function paperAnswer(printed: PrintedFacts | null, now: PrintedFacts): PaperAnswer {
  if (printed === null) return { state: 'not-yet', changed: [] };
  const changed: PaperChange[] = [];
  if (printed.payload !== now.payload) changed.push('payload');
  // A new payload has a symbol of its own; its level is no second change.
  else if (printed.level !== null && now.level !== null && printed.level !== now.level) changed.push('level');
  if (JSON.stringify(printed.look) !== JSON.stringify(now.look)) changed.push('look');
  if (Math.abs(printed.sizeMm - now.sizeMm) >= 1) changed.push('size');
  return { state: changed.length > 0 ? 'look-at' : 'done', changed };
}
