/** Does it open? What a verdict means for a class, and for how long it is believed. */
import type { AccessVerdict } from '../../gather/service-description/access-verdict.js';
import type { AnswerState } from '../../platform/answer-state.js';
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
    case 'failing':
    case 'refused':
      return 'stop';
    default:
      return unreachable(verdict);
  }
}

const dayMs = 24 * 3600 * 1000;
/** A verdict older than this says little about tomorrow. */
const staleAfterMs = 14 * dayMs;

/** Too old to rely on: two weeks, or a day where the lesson is within the next. All in milliseconds since 1970; `lessonAt` null without a day. */
export function isStale(checkedAt: number, now: number, lessonAt: number | null): boolean {
  const soon = lessonAt !== null && lessonAt > now && lessonAt - now <= dayMs;
  return now - checkedAt > (soon ? dayMs : staleAfterMs);
}
