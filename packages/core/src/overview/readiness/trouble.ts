/** What keeps a station from being ready: the first trouble in the order of the work, each under its own name. */
import { isLocked, type OpensFacts } from '../../opens/access/opens-answer.js';
import type { AnswerState } from '../../platform/answer-state.js';

/** In the order of the work. */
export const stationTroubles = [
  'locked',
  'not-opening',
  'to-check',
  'code',
  'not-read',
  'outdated',
  'without-sheet',
] as const;
/**
 * `locked`: asks students to sign in, or lets chosen people in. `not-opening`: does not open for another reason.
 * `to-check`: perhaps it opens. `code`: too fine, too long, or nothing that devices act on. `not-read`: a device does
 * not read it from where students stand. `outdated`: printed before the change.
 */
export type StationTrouble = (typeof stationTroubles)[number];

/** The four answers of one station, as far as trouble goes. */
export interface FourAnswers {
  readonly opens: OpensFacts;
  readonly carries: { readonly state: AnswerState };
  readonly reads: { readonly state: AnswerState };
  readonly paper: { readonly state: AnswerState };
}

/** Null for a station that is ready, and for one that is still being worked on without any trouble so far. */
export function findTrouble({ opens, carries, reads, paper }: FourAnswers): StationTrouble | null {
  if (opens.state === 'stop') return isLocked(opens) ? 'locked' : 'not-opening';
  if (opens.state === 'look-at') return 'to-check';
  if (needsAttention(carries.state)) return 'code';
  if (needsAttention(reads.state)) return 'not-read';
  if (needsAttention(paper.state)) return 'outdated';
  return paper.state === 'not-yet' && opens.state === 'done' ? 'without-sheet' : null;
}

/** Everything is done. */
export function isReady({ opens, carries, reads, paper }: FourAnswers): boolean {
  return [opens, carries, reads, paper].every(({ state }) => state === 'done');
}

function needsAttention(state: AnswerState): boolean {
  return state === 'look-at' || state === 'stop';
}
