/** Does it open? What a verdict means for a class, and for how long it is believed. */
import type { AccessVerdict } from '../../gather/service-description/access-verdict.js';
import type { AnswerState } from '../../platform/answer-state.js';
import type { Obstacle } from './obstacle.js';
import { unreachable } from '../../platform/result.js';
import type { StudentAccounts } from '../../school/accounts/student-accounts.js';

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
    case 'empty':
    case 'failing':
    case 'refused':
      return 'stop';
    default:
      return unreachable(verdict);
  }
}

/** What a person found out with a device at hand. */
export interface PersonAnswer {
  readonly opens: boolean;
  /** Milliseconds since 1970. */
  readonly at: number;
  /** Whether the page is clearly another one by now; null where that can't be told. */
  readonly otherPage: boolean | null;
}

/**
 * Whether a person's answer decides. "It doesn't" always does. "It opens" does where the check can't tell; what the
 * check knows for certain (a sign-in, an absent page) is not talked away.
 */
export function answerCounts({ opens }: Pick<PersonAnswer, 'opens'>, verdict: AccessVerdict): boolean {
  return !opens || mayBeAnswered(verdict);
}

/** Verdicts that leave it to a person to say whether it opens. */
export function mayBeAnswered(verdict: AccessVerdict): boolean {
  return ['unknown', 'failing', 'obstructed', 'refused'].includes(verdict);
}

const dayMs = 24 * 3600 * 1000;
/** A verdict older than this says little about tomorrow. */
const staleAfterMs = 14 * dayMs;

/** Too old to rely on: two weeks, or a day where the lesson is within the next. All in milliseconds since 1970; `lessonAt` null without a day. */
export function isStale(checkedAt: number, now: number, lessonAt: number | null): boolean {
  const soon = lessonAt !== null && lessonAt > now && lessonAt - now <= dayMs;
  return now - checkedAt > (soon ? dayMs : staleAfterMs);
}

/** What is known of opening a material for a class. Times in milliseconds since 1970. */
export interface KnownOpening {
  /** Of the last check; null before the first. */
  readonly verdict: AccessVerdict | null;
  readonly checkedAt: number | null;
  /** What a person said after trying it; null where nobody did. */
  readonly answer: PersonAnswer | null;
  readonly accounts: StudentAccounts;
}

/** Does it open? A person's answer decides where it counts; what is too old to rely on is to be looked at. */
export function opensAnswer(
  { verdict, checkedAt, answer, accounts }: KnownOpening,
  now: number,
  lessonAt: number | null,
): { readonly state: AnswerState; readonly stale: boolean; readonly byPerson: boolean } {
  const byPerson = answer !== null && verdict !== null && answer.otherPage !== true && answerCounts(answer, verdict);
  const said = byPerson ? answer : null;
  const since = said ? believedSince(said, checkedAt) : checkedAt;
  const stale = since !== null && isStale(since, now, lessonAt);
  const state = said ? (said.opens ? 'done' : 'stop') : opensState(verdict, accounts);
  return { state: stale && state === 'done' ? 'look-at' : state, stale, byPerson };
}

/** A check that found the same page makes an answer as good as new. */
function believedSince({ at, otherPage }: PersonAnswer, checkedAt: number | null): number {
  return otherPage === false ? Math.max(at, checkedAt ?? 0) : at;
}

/** What is known of opening, as far as trouble goes. */
export interface OpensFacts {
  readonly state: AnswerState;
  readonly verdict: AccessVerdict | null;
  readonly obstacle: Obstacle | null;
  /** A person's answer, where it decides. */
  readonly answer: object | null;
}

/** It stops because the service lets only chosen people, or people with an account, in; nothing else is called locked. */
export function isLocked({ state, verdict, obstacle, answer }: OpensFacts): boolean {
  return (
    state === 'stop' &&
    obstacle === null &&
    answer === null &&
    (verdict === 'sign-in' || verdict === 'organisation' || verdict === 'named-only')
  );
}
