/** What to do next with a lesson: fix what stops students, then make sheets, then try it in the room. */
import { unreachable } from '../../platform/result.js';
import { findTrouble, isReady, type FourAnswers, type StationTrouble } from './trouble.js';

/** The parts of a material's page, one a question. */
export type PagePart = 'opens' | 'carries' | 'reads' | 'paper';

/** Where on its page a trouble is fixed. */
export function partOfTrouble(trouble: StationTrouble): PagePart {
  switch (trouble) {
    case 'locked':
    case 'not-opening':
    case 'to-check':
      return 'opens';
    case 'code':
      return 'carries';
    case 'not-read':
      return 'reads';
    case 'outdated':
    case 'without-sheet':
      return 'paper';
    default:
      return unreachable(trouble);
  }
}

/** `index`: of the station, from 0. `wait`: it is being opened and rehearsed, and nothing is wrong so far. */
export type NextStep =
  | { readonly kind: 'add' | 'print' | 'try' | 'wait' }
  | { readonly kind: 'fix'; readonly index: number; readonly trouble: StationTrouble };

/** The worst first: what students would be stopped by comes before what only needs a look. */
const fixedFirst: readonly (readonly StationTrouble[])[] = [
  ['locked', 'not-opening'],
  ['to-check', 'code', 'not-read'],
];

/** Of all stations together. */
export function nextStep(stations: readonly FourAnswers[]): NextStep {
  if (stations.length === 0) return { kind: 'add' };
  const troubles = stations.map(findTrouble);
  for (const kinds of fixedFirst) {
    const index = troubles.findIndex((trouble) => trouble !== null && kinds.includes(trouble));
    const trouble = troubles[index];
    if (trouble) return { kind: 'fix', index, trouble };
  }
  if (troubles.some((trouble) => trouble !== null)) return { kind: 'print' };
  return { kind: stations.every(isReady) ? 'try' : 'wait' };
}
