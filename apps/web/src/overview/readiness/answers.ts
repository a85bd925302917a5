/** The four answers in words and figures: what stands in a cell of the bench, and what is read aloud. */
import type { ReadinessView } from '@hapset/contract';
import { standing, type AccessVerdict, type AddressCarry, type Carry, type MaterialKind } from '@hapset/core';
import type { Mark } from '../../platform/design/state-mark.js';
import { countWord, grainWords, metres } from '../../platform/wording/figures.js';
import { lookReasonWords } from '../../platform/wording/looks.js';
import { changesListed } from '../../platform/wording/sheets.js';
import { kindWords } from '../../platform/wording/kinds.js';
import { obstacleWords, wordsOfVerdict } from '../../platform/wording/verdicts.js';

export interface AnswerWords {
  readonly mark: Mark;
  readonly title: string;
  readonly figure: string;
  /** True where the figure is a way to fix it. */
  readonly isFix: boolean;
}

export function opensWords(opens: ReadinessView['opens']): AnswerWords {
  const { state, opening, viewing, verdict, inTheCode, obstacle, unplayed, answer } = opens;
  const words = (title: string, figure: string, isFix = false): AnswerWords => ({ mark: state, title, figure, isFix });
  if (inTheCode) return words('In the code', 'needs no network');
  if (obstacle) return words(obstacleWords[obstacle].short, obstacleWords[obstacle].figure, true);
  if (verdict === null) return words(opening ? 'Opening…' : 'Not opened yet', opening ? 'as a student' : '');
  if (answer) return words(answer.opens ? 'It opens' : 'Doesn’t open', `${answer.by} tried it`);
  if (viewing) return words('Opening…', 'in a browser');
  if (verdict === 'open' && unplayed) return words('Not played', `by ${unplayedBy(unplayed.by)}`, true);
  return openedWords(opens, verdict, words);
}

function openedWords(
  { state, opening, reason, ...opens }: ReadinessView['opens'],
  verdict: AccessVerdict,
  words: (title: string, figure: string, isFix?: boolean) => AnswerWords,
): AnswerWords {
  const title = wordsOfVerdict(verdict, reason).short;
  if (opening) return words(title, 'opening again…');
  if (verdict === 'open' || state === 'done') return words(title, letsInFigure(opens));
  return words(title, fixWords(opens.steps), true);
}

/** "Fix in one step" only where the steps are known. */
function fixWords(steps: number): string {
  if (steps === 0) return 'Check it yourself';
  return steps === 1 ? 'Fix in one step' : `Fix in ${countWord(steps).toLowerCase()} steps`;
}

function unplayedBy(names: readonly string[]): string {
  if (names.length === 0) return 'many phones';
  return names.length === 1 ? (names[0] ?? '') : `${names.length} kinds of devices`;
}

function letsInFigure({ verdict, stale }: Pick<ReadinessView['opens'], 'verdict' | 'stale'>): string {
  if (verdict !== 'open') return 'this class has them';
  return stale ? 'opened too long ago' : 'without signing in';
}

/** @param kind names what the code holds where it holds no link */
export function carriesWords(
  { state, carry, grain, modules, ignoredBy }: ReadinessView['carries'],
  kind: MaterialKind,
): AnswerWords {
  if (grain === null || modules === null)
    return { mark: state, title: 'Too long', figure: 'no code holds it', isFix: false };
  if (ignoredBy.length > 0)
    return {
      mark: state,
      title: carriedWords(carry, kind),
      figure: `text only on ${ignoredBy.length === 1 ? 'one device' : `${ignoredBy.length} devices`}`,
      isFix: false,
    };
  return {
    mark: state,
    title: carriedWords(carry, kind),
    figure: `${grainWords[grain]} · ${modules} × ${modules}`,
    isFix: false,
  };
}

export function readsWords(reads: ReadinessView['reads'], rehearsing = false): AnswerWords {
  const { state, leastReachM, look, failed } = reads;
  const [worst] = look;
  if (worst && standing(look).state === 'stop')
    return { mark: state, title: 'Look fails', figure: lookReasonWords[worst].short, isFix: false };
  const [tried] = failed;
  if (tried !== undefined)
    return {
      mark: state,
      title: 'Not read when tried',
      figure: failed.length === 1 ? (tried ?? 'on a real device') : `on ${failed.length} devices`,
      isFix: false,
    };
  if (leastReachM === null)
    return {
      mark: 'not-yet',
      title: rehearsing ? 'Rehearsing…' : 'Not rehearsed',
      figure: reads.devices === 0 ? 'no devices in the list' : '',
      isFix: false,
    };
  const title = leastReachM === 0 ? 'Not read' : metres(leastReachM);
  return { mark: state, title, figure: reachFigure(reads), isFix: false };
}

/** Who reads it, who does not, or what about its look is to be looked at. */
function reachFigure({ distanceM, devices, fallShort, look: [worst] }: ReadinessView['reads']): string {
  const [first, ...others] = fallShort;
  if (first === undefined && worst) return lookReasonWords[worst].short;
  if (first === undefined) return devices === 1 ? 'the one device' : `all ${devices} devices`;
  const who = others.length === 0 ? first : `${fallShort.length} devices`;
  return `${who} fall short of ${metres(distanceM)}`;
}

export function paperWords({ state, sizeMm, changed }: ReadinessView['paper']): AnswerWords {
  if (sizeMm === null) return { mark: 'not-yet', title: 'Not made', figure: '', isFix: false };
  return state === 'done'
    ? { mark: state, title: 'Poster', figure: `code ${Math.round(sizeMm)} mm`, isFix: false }
    : { mark: state, title: 'Printed before', figure: `a change: ${changesListed(changed)}`, isFix: false };
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
