/** The four answers in words and figures: what is in a cell of the bench, and what is read aloud. */
import type { ReadinessView } from '@hapset/contract';
import { standing, type AccessVerdict, type AddressCarry, type Carry, type MaterialKind } from '@hapset/core';
import type { Mark } from '../../platform/design/state-mark.js';
import { grainWords, metres } from '../../platform/wording/figures.js';
import { lookReasonWords } from '../../platform/wording/looks.js';
import { changesListed } from '../../platform/wording/sheets.js';
import { kindWords } from '../../platform/wording/kinds.js';
import { obstacleWords, wordsOfVerdict } from '../../platform/wording/verdicts.js';
import { t } from '../words.js';

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
  if (inTheCode) return words(t('answers.inTheCode'), t('answers.needsNoNetwork'));
  if (obstacle) return words(obstacleWords[obstacle].short, obstacleWords[obstacle].figure, true);
  if (verdict === null)
    return words(opening ? t('answers.opening') : t('answers.notCheckedYet'), opening ? t('answers.asAStudent') : '');
  if (answer)
    return words(
      answer.opens ? t('answers.itOpens') : t('answers.doesntOpen'),
      t('answers.triedIt', { by: answer.by }),
    );
  if (viewing) return words(t('answers.opening'), t('answers.inABrowser'));
  if (verdict === 'open' && unplayed) return words(t('answers.notPlayed'), `by ${unplayedBy(unplayed.by)}`, true);
  return openedWords(opens, verdict, words);
}

function openedWords(
  { state, opening, reason, ...opens }: ReadinessView['opens'],
  verdict: AccessVerdict,
  words: (title: string, figure: string, isFix?: boolean) => AnswerWords,
): AnswerWords {
  const title = wordsOfVerdict(verdict, reason).short;
  if (opening) return words(title, t('answers.checkingAgain'));
  if (verdict === 'open' || state === 'done') return words(title, letsInFigure(opens));
  return words(title, fixWords(opens.steps), true);
}

/** "Fix in one step" only where the steps are known. */
function fixWords(steps: number): string {
  if (steps === 0) return t('answers.checkItYourself');
  return t('answers.fixInSteps', { count: steps });
}

function unplayedBy(names: readonly string[]): string {
  if (names.length === 0) return t('answers.manyPhones');
  return names.length === 1 ? (names[0] ?? '') : t('answers.kindsOfDevices', { number: names.length });
}

function letsInFigure({ verdict, stale }: Pick<ReadinessView['opens'], 'verdict' | 'stale'>): string {
  if (verdict !== 'open') return t('answers.thisClassHasThem');
  return stale ? t('answers.checkedTooLongAgo') : t('answers.withoutSigningIn');
}

/** @param kind names what the code holds where it holds no link */
export function carriesWords(
  { state, carry, grain, modules, ignoredBy }: ReadinessView['carries'],
  kind: MaterialKind,
): AnswerWords {
  if (grain === null || modules === null)
    return { mark: state, title: t('answers.tooLong'), figure: t('answers.tooLongForACode'), isFix: false };
  if (ignoredBy.length > 0)
    return {
      mark: state,
      title: carriedWords(carry, kind),
      figure: t('answers.textOnlyOnDevices', { count: ignoredBy.length }),
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
    return { mark: state, title: t('answers.lookFails'), figure: lookReasonWords[worst].short, isFix: false };
  const [tried] = failed;
  if (tried !== undefined)
    return {
      mark: state,
      title: t('answers.didNotReadWhenTried'),
      figure:
        failed.length === 1 ? (tried ?? t('answers.onARealDevice')) : t('answers.onDevices', { number: failed.length }),
      isFix: false,
    };
  if (leastReachM === null)
    return {
      mark: 'not-yet',
      title: rehearsing ? t('answers.rehearsing') : t('answers.notRehearsed'),
      figure: reads.devices === 0 ? t('answers.noDevicesListed') : '',
      isFix: false,
    };
  const title = leastReachM === 0 ? t('answers.notRead') : metres(leastReachM);
  return { mark: state, title, figure: reachFigure(reads), isFix: false };
}

/** Who reads it, who does not, or what about its look is to be looked at. */
function reachFigure({ distanceM, devices, fallShort, look: [worst] }: ReadinessView['reads']): string {
  const [first, ...others] = fallShort;
  if (first === undefined && worst) return lookReasonWords[worst].short;
  if (first === undefined) return devices === 1 ? t('answers.theOneDevice') : t('answers.allDevices', { devices });
  const who = others.length === 0 ? first : `${fallShort.length} devices`;
  return t('answers.cantReadAt', { who, metres: metres(distanceM) });
}

export function paperWords({ state, sizeMm, changed }: ReadinessView['paper']): AnswerWords {
  if (sizeMm === null) return { mark: 'not-yet', title: t('answers.notMadeYet'), figure: '', isFix: false };
  return state === 'done'
    ? {
        mark: state,
        title: t('answers.poster'),
        figure: t('answers.codeMm', { sizeMm: Math.round(sizeMm) }),
        isFix: false,
      }
    : {
        mark: state,
        title: t('answers.outOfDate'),
        figure: t('answers.changed', { changes: changesListed(changed) }),
        isFix: false,
      };
}

const addressWords: Readonly<Record<AddressCarry, string>> = {
  link: t('answers.linkItself'),
  trimmed: t('answers.shorterLink'),
  'short-link': t('answers.shortLink'),
  bare: t('answers.withoutHttps'),
};

/** "Link itself", "Words", or the kind whose fields the code holds. */
export function carriedWords(carry: Carry, kind: MaterialKind): string {
  if (carry !== 'words') return addressWords[carry];
  return kind === 'message' ? t('answers.words') : kindWords[kind];
}
