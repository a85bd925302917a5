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

/** Why, in a sentence. `{}` stands for the detail. */
export const reasonWords: Readonly<Record<VerdictReason, string>> = {
  opened: t('verdicts.thePageOpenedWithoutAn'),
  'opened-file': t('verdicts.theFileOpenedWithoutAn'),
  'service-says-open': t('verdicts.thePageShowsWhichIts'),
  'asks-questions': t('verdicts.thereIsAFormThat'),
  'plays-media': t('verdicts.thereIsAudioOrVideo'),
  'takes-writing': t('verdicts.thereIsAFieldTo'),
  'shows-content': t('verdicts.thePageHasContent'),
  'holds-open': t('verdicts.theItemsInsideItOpen'),
  'as-teacher-saw': t('verdicts.studentsGetWhatYouSaw'),
  covered: t('verdicts.somethingCoversThePageStudents'),
  'keeps-changing': t('verdicts.thePageRedirectsVisitorsAgain'),
  'no-proof': t('verdicts.studentsGetAShortPage'),
  'guarded-address': t('verdicts.isOnAPrivateNetwork'),
  'not-a-web-address': t('verdicts.isNotAnHttpOr'),
  'too-many-redirects': t('verdicts.itWasRedirectedAgainAnd'),
  'took-too-long': t('verdicts.didNotAnswerWithinTen'),
  'name-not-found': t('verdicts.thereIsNoServerCalled'),
  'not-reached': t('verdicts.doesNotAcceptConnections'),
  'broken-answer': t('verdicts.stoppedInTheMiddleOf'),
  'bad-certificate': t('verdicts.theCertificateOfIsNot'),
  'server-error': t('verdicts.theServiceAnsweredWithAn2'),
  'too-busy': t('verdicts.isTooBusyToAnswer'),
  'status-missing': t('verdicts.theServiceSaysThereIs'),
  'says-missing': t('verdicts.thePageSays'),
  'status-unauthorised': t('verdicts.theServiceAsksStudentsTo'),
  'led-to-sign-in': t('verdicts.itLeadsToTheSign'),
  'sign-in-form': t('verdicts.studentsSeeASignIn'),
  'says-sign-in': t('verdicts.thePageSays'),
  'posts-itself': t('verdicts.itSendsStudentsToThe'),
  'says-organisation': t('verdicts.thePageSays'),
  'status-forbidden': t('verdicts.theServiceRefusesStudents'),
  'says-ask-for-access': t('verdicts.thePageSays'),
  'says-private': t('verdicts.thePageSays'),
  'says-closed': t('verdicts.thePageSays'),
  'says-expired': t('verdicts.thePageSays'),
  'says-not-yet': t('verdicts.itIsNotOpenYet'),
  'says-over-limit': t('verdicts.itsLimitIsReachedThe'),
  'asks-first': t('verdicts.studentsFirstSee'),
  'asks-consent': t('verdicts.studentsFirstSeeACookie'),
  'asks-age': t('verdicts.itAsksForTheVisitors'),
  'download-only': t('verdicts.itIsDownloadedInsteadOf'),
  'not-encrypted': t('verdicts.sendsItUnencryptedManyPhones'),
  slow: t('verdicts.itTookSecondsToOpen'),
  'holds-locked': t('verdicts.insideItDoesNotOpen'),
  'may-change': t('verdicts.everyoneWhoOpensItCan'),
  'robot-check': t('verdicts.theServiceAsksForProof'),
  'needs-script': t('verdicts.thePageShowsNothingUntil'),
  'status-error': t('verdicts.theServiceAnsweredWithAn2'),
  'unexpected-status': t('verdicts.theServiceGaveAnUnusual'),
  'nothing-to-see': t('verdicts.theAnswerWasEmpty'),
  'check-failed': t('verdicts.theCheckFailedThreeTimes'),
  'leads-on': t('verdicts.thePageRedirectsTo'),
  'kept-here': t('verdicts.itIsOnTheSchools'),
  'page-empty': t('verdicts.nothingIsWrittenOnThis'),
  'file-gone': t('verdicts.itsFileWasDeleted'),
  'file-empty': t('verdicts.isEmpty'),
  'file-damaged': t('verdicts.isDamagedOrIncompleteNo'),
  'file-password': t('verdicts.asksForAPassword'),
  'file-unread': t('verdicts.couldNotBeCheckedTry'),
  'format-unusual': t('verdicts.browsersOnPhonesDontPlay'),
  'needs-program': t('verdicts.needsAnOfficeAppMost'),
};

export function reasonSentence(reason: VerdictReason, detail: string): string {
  return reasonWords[reason].replace('{}', hostOf(detail));
}

/** Shown beside what opened, for a person to judge. */
export const doubtWords: Readonly<Record<DoubtReason, string>> = {
  'start-page': t('verdicts.thisIsTheStartPage'),
  'title-differs': t('verdicts.itsTitleIsIsThat'),
  'stranger-between': t('verdicts.theLinkGoesThroughWhich'),
  'address-loopback': t('verdicts.onlyThisComputerCanReach'),
  'address-plain': t('verdicts.theSchoolsPublicAddressIs'),
};

export function doubtSentence(reason: DoubtReason, detail: string): string {
  return doubtWords[reason].replace('{}', detail);
}

/** "Students can look, and answer once." */
export function rightsSentence({ look, comment, change, download, answer }: Rights): string {
  const can = [
    look && 'look',
    download && t('verdicts.saveIt'),
    comment && 'comment',
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
