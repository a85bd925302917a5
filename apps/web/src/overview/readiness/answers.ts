/** The four answers in words and figures: what stands in a cell of the bench, and what is read aloud. */
import type { ReadinessView } from '@hapset/contract';
import { standing, type AddressCarry, type Carry, type MaterialKind } from '@hapset/core';
import type { Mark } from '../../platform/design/state-mark.js';
import { countWord, grainWords, metres } from '../../platform/wording/figures.js';
import { lookReasonWords } from '../../platform/wording/looks.js';
import { kindWords } from '../../platform/wording/kinds.js';
import { verdictWords } from '../../platform/wording/verdicts.js';

export interface AnswerWords {
  readonly mark: Mark;
  readonly title: string;
  readonly figure: string;
  /** True where the figure is a way to mend it. */
  readonly mends: boolean;
}

export function opensWords(opens: ReadinessView['opens']): AnswerWords {
  const { state, opening, verdict, steps, inTheCode, closed } = opens;
  if (inTheCode) return { mark: 'done', title: 'In the code', figure: 'needs no network', mends: false };
  if (verdict === null) return notOpenedWords(opening);
  if (closed)
    return { mark: state, title: 'Closed by hours', figure: 'Its short link does not open then', mends: false };
  const title = verdictWords[verdict].short;
  if (opening) return { mark: state, title, figure: 'opening again…', mends: false };
  if (verdict === 'open' || state === 'done') return { mark: state, title, figure: letsInFigure(opens), mends: false };
  const figure = steps === 1 ? 'One step mends it' : `${countWord(steps)} steps mend it`;
  return { mark: state, title, figure, mends: true };
}

function notOpenedWords(opening: boolean): AnswerWords {
  return {
    mark: 'not-yet',
    title: opening ? 'Opening…' : 'Not opened yet',
    figure: opening ? 'as a student' : '',
    mends: false,
  };
}

function letsInFigure({ verdict, stale }: ReadinessView['opens']): string {
  if (verdict !== 'open') return 'this class has them';
  return stale ? 'opened too long ago' : 'without signing in';
}

/** @param kind names what the code holds where it holds no link */
export function carriesWords(
  { state, carry, grain, modules, ignoredBy }: ReadinessView['carries'],
  kind: MaterialKind,
): AnswerWords {
  if (grain === null || modules === null)
    return { mark: state, title: 'Too long', figure: 'no code holds it', mends: false };
  if (ignoredBy.length > 0)
    return {
      mark: state,
      title: carriedWords(carry, kind),
      figure: `text only on ${ignoredBy.length === 1 ? 'one device' : `${ignoredBy.length} devices`}`,
      mends: false,
    };
  return {
    mark: state,
    title: carriedWords(carry, kind),
    figure: `${grainWords[grain]} · ${modules} × ${modules}`,
    mends: false,
  };
}

export function readsWords(reads: ReadinessView['reads'], rehearsing = false): AnswerWords {
  const { state, leastReachM, look } = reads;
  const [worst] = look;
  if (worst && standing(look).state === 'stop')
    return { mark: state, title: 'Look fails', figure: lookReasonWords[worst].short, mends: false };
  if (leastReachM === null)
    return {
      mark: 'not-yet',
      title: rehearsing ? 'Rehearsing…' : 'Not rehearsed',
      figure: reads.devices === 0 ? 'no devices in the list' : '',
      mends: false,
    };
  const title = leastReachM === 0 ? 'Not read' : metres(leastReachM);
  return { mark: state, title, figure: reachFigure(reads), mends: false };
}

/** Who reads it, who does not, or what about its look is to be looked at. */
function reachFigure({ distanceM, devices, fallShort, look: [worst] }: ReadinessView['reads']): string {
  const [first, ...others] = fallShort;
  if (first === undefined && worst) return lookReasonWords[worst].short;
  if (first === undefined) return devices === 1 ? 'the one device' : `all ${devices} devices`;
  const who = others.length === 0 ? first : `${fallShort.length} devices`;
  return `${who} fall short of ${metres(distanceM)}`;
}

export function paperWords({ state, sizeMm }: ReadinessView['paper']): AnswerWords {
  if (sizeMm === null) return { mark: 'not-yet', title: 'Not made', figure: '', mends: false };
  return state === 'done'
    ? { mark: state, title: 'Poster', figure: `code ${Math.round(sizeMm)} mm`, mends: false }
    : { mark: state, title: 'Printed before', figure: 'the change', mends: false };
}

const addressWords: Readonly<Record<AddressCarry, string>> = {
  link: 'Link itself',
  trimmed: 'Shorter link',
  'short-link': 'Short link',
  bare: 'Bare address',
};

/** "Link itself", "Words", or the kind whose fields the code holds. */
export function carriedWords(carry: Carry, kind: MaterialKind): string {
  if (carry !== 'words') return addressWords[carry];
  return kind === 'message' ? 'Words' : kindWords[kind];
}
