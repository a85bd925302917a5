import type { AccessVerdict, DoubtReason, Obstacle, Rights, VerdictReason } from '@hapset/core';
import { hostNameOf } from '@hapset/core';
import { t } from '../language/words.js';
import { namesListed } from './figures.js';

interface VerdictWords {
  /** In the bench's cell. */
  readonly short: string;
  /** As the heading of the Opens part. */
  readonly heading: string;
}

export const verdictWords: Readonly<Record<AccessVerdict, VerdictWords>> = {
  open: { short: t('verdicts.anyone'), heading: t('verdicts.opensForEveryone') },
  'open-editable': { short: t('verdicts.anyoneCanChangeIt'), heading: t('verdicts.opensForEveryoneAndAnyone') },
  'sign-in': { short: t('verdicts.asksToSignIn'), heading: t('verdicts.asksStudentsToSignIn') },
  organisation: { short: t('verdicts.schoolAccountsOnly'), heading: t('verdicts.opensOnlyWithASchool') },
  'named-only': { short: t('verdicts.blocksStudents'), heading: t('verdicts.blocksStudents') },
  closed: { short: t('verdicts.closed'), heading: t('verdicts.itIsClosed') },
  empty: { short: t('verdicts.empty'), heading: t('verdicts.itOpensButItIs') },
  missing: { short: t('verdicts.notFound'), heading: t('verdicts.thereIsNoPageAt') },
  partial: { short: t('verdicts.partlyLocked'), heading: t('verdicts.opensButSomethingInsideIt') },
  obstructed: { short: t('verdicts.somethingInTheWay'), heading: t('verdicts.opensWithSomethingInThe') },
  failing: { short: t('verdicts.cantBeOpened'), heading: t('verdicts.cantBeOpened') },
  unknown: { short: t('verdicts.notSure'), heading: t('verdicts.notSureWhetherItOpens') },
  refused: { short: t('verdicts.notAPublicAddress'), heading: t('verdicts.notAnAddressThatStudents') },
};

const silent: VerdictWords = { short: t('verdicts.noAnswer'), heading: t('verdicts.theServiceDidNotAnswer') };
const withError: VerdictWords = {
  short: t('verdicts.error'),
  heading: t('verdicts.theServiceAnsweredWithAn'),
};
const forChosen: VerdictWords = {
  short: t('verdicts.chosenPeopleOnly'),
  heading: t('verdicts.opensForChosenPeopleOnly'),
};

/** More exact where the reason is known. */
const wordsByReason: Readonly<Partial<Record<VerdictReason, VerdictWords>>> = {
  'took-too-long': silent,
  'name-not-found': silent,
  'not-reached': silent,
  'broken-answer': silent,
  'server-error': withError,
  'too-busy': withError,
  'status-error': withError,
  covered: { short: t('verdicts.somethingCoversIt'), heading: t('verdicts.somethingCoversThePage') },
  'says-ask-for-access': forChosen,
  'says-private': forChosen,
};

/** A verdict in words. @param reason the first of its reasons, where it is known */
export function wordsOfVerdict(verdict: AccessVerdict, reason: VerdictReason | null): VerdictWords {
  return (reason === null ? undefined : wordsByReason[reason]) ?? verdictWords[verdict];
}

interface ObstacleWords extends VerdictWords {
  /** Below the title in the bench's cell. */
  readonly figure: string;
  readonly remedy: string;
}

/** What keeps students out although the material is fine. */
export const obstacleWords: Readonly<Record<Obstacle, ObstacleWords>> = {
  'shown-until': {
    short: t('verdicts.notShownThatDay'),
    heading: t('verdicts.noLongerShown'),
    figure: t('verdicts.changeShowUntil'),
    remedy: t('verdicts.itsPageIsNoLonger'),
  },
  hours: {
    short: t('verdicts.closedAtThatTime'),
    heading: t('verdicts.itsShortLinkIsClosed'),
    figure: t('verdicts.changeItsOpeningHours'),
    remedy: t('verdicts.itsShortLinkIsClosed2'),
  },
  address: {
    short: t('verdicts.noPhoneCanReachIt'),
    heading: t('verdicts.noPhoneCanReachThe'),
    figure: t('verdicts.theAddressOfThisServer'),
    remedy: t('verdicts.theCodeHoldsAnAddress'),
  },
};

/** Why, in a sentence. */
export function reasonSentence(reason: VerdictReason, detail: string): string {
  return t(`reasons.${reason}`, { detail: hostOf(detail) });
}

/** Shown beside what opened, for a person to judge. */
export function doubtSentence(reason: DoubtReason, detail: string): string {
  return t(`doubts.${reason}`, { detail });
}

/** "Students can look, and answer once." */
export function rightsSentence({ look, comment, change, download, answer }: Rights): string {
  const can = [
    look && t('services.look'),
    download && t('verdicts.saveIt'),
    comment && t('services.comment'),
    change && t('verdicts.changeIt'),
    answer === 'once' && t('verdicts.answerOnce'),
    answer === 'again' && t('verdicts.answerAsOftenAsThey'),
  ].filter((words) => words !== false);
  return can.length === 0
    ? t('verdicts.studentsCanDoNothingWith')
    : t('verdicts.studentsCan', { what: namesListed(can) });
}

function hostOf(detail: string): string {
  return /^https?:/.test(detail) ? (hostNameOf(detail) ?? detail) : detail;
}
