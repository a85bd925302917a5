import type { AccessVerdict, DoubtReason, Obstacle, Rights, VerdictReason } from '@hapset/core';
import { hostNameOf } from '@hapset/core';

interface VerdictWords {
  /** In the bench's cell. */
  readonly short: string;
  /** As the heading of the Opens part. */
  readonly heading: string;
}

export const verdictWords: Readonly<Record<AccessVerdict, VerdictWords>> = {
  open: { short: 'Anyone', heading: 'Opens for anyone' },
  'open-editable': { short: 'Anyone may change it', heading: 'Opens for anyone, who may change it' },
  'sign-in': { short: 'Asks to sign in', heading: 'Asks students to sign in' },
  organisation: { short: 'School accounts only', heading: 'Opens with an account of the school only' },
  'named-only': { short: 'Refuses students', heading: 'Refuses students' },
  closed: { short: 'Closed', heading: 'It is closed' },
  empty: { short: 'Nothing to see', heading: 'It opens, but there is nothing to see' },
  missing: { short: 'Nothing there', heading: 'There is nothing at this address' },
  partial: { short: 'Partly locked', heading: 'Opens, but something in it does not' },
  obstructed: { short: 'Something before it', heading: 'Opens, with something in the way' },
  failing: { short: 'Can’t be opened', heading: 'Can’t be opened' },
  unknown: { short: 'Cannot tell', heading: 'Cannot tell whether it opens' },
  refused: { short: 'Not a public address', heading: 'Not an address that students could open' },
};

const silent: VerdictWords = { short: 'Did not answer', heading: 'The service did not answer' };
const withError: VerdictWords = { short: 'Answered with an error', heading: 'The service answered with an error' };
const forChosen: VerdictWords = { short: 'Chosen people only', heading: 'Opens for chosen people only' };

/** More exact where the reason is known. */
const wordsByReason: Readonly<Partial<Record<VerdictReason, VerdictWords>>> = {
  'took-too-long': silent,
  'name-not-found': silent,
  'not-reached': silent,
  'broken-answer': silent,
  'server-error': withError,
  'too-busy': withError,
  'status-error': withError,
  covered: { short: 'Something covers it', heading: 'Something covers the page' },
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
    short: 'Not shown then',
    heading: 'Not shown any more',
    figure: 'change “Show until”',
    remedy: 'Its page is shown until a day that is over then. Change “Show until” under Change, or clear it.',
  },
  hours: {
    short: 'Closed then',
    heading: 'Its short link is closed then',
    figure: 'change its opening hours',
    remedy: 'Its short link is closed when the lesson begins. Change its opening hours under Short link.',
  },
  address: {
    short: 'No phone gets there',
    heading: 'No phone reaches the school’s address',
    figure: 'the address of this server',
    remedy:
      'The code carries the address of this server, and only this computer reaches it. An administrator can set the public address under School.',
  },
};

/** Why, in a sentence. `{}` stands for the detail. */
export const reasonWords: Readonly<Record<VerdictReason, string>> = {
  opened: 'The page opened without an account.',
  'opened-file': 'A file came without an account.',
  'service-says-open': 'The page shows “{}”, which its service shows only where it opens.',
  'asks-questions': 'There is a form that students can answer.',
  'plays-media': 'There is something to play.',
  'takes-writing': 'There is a place to write into.',
  'shows-content': 'The page has a text of its own.',
  'holds-open': 'What is in it opens.',
  'as-teacher-saw': 'Students get what you saw there.',
  covered: 'Something covers the page. Students see this first.',
  'keeps-changing': 'The page sends visitors on from page to page and never stops.',
  'no-proof': 'Students get a short page. Is this your material, or a notice that it is locked?',
  'guarded-address': '{} is inside a private network or on the server itself. Hapset opens public addresses only.',
  'not-a-web-address': '{} is no http or https address.',
  'too-many-redirects': 'It was sent on from page to page without end, last at {}.',
  'took-too-long': '{} did not answer within ten seconds.',
  'name-not-found': 'There is no server called {}.',
  'not-reached': '{} does not accept connections.',
  'broken-answer': '{} broke off while answering.',
  'bad-certificate': 'The certificate of {} is not valid; phones would warn students.',
  'server-error': 'The service answered with an error ({}).',
  'too-busy': '{} is too busy to answer just now.',
  'status-missing': 'The service answered with an error: there is nothing at this address ({}).',
  'says-missing': 'The page says “{}”.',
  'status-unauthorised': 'The service asks who is there before it shows anything.',
  'led-to-sign-in': 'It leads to the sign-in at {}.',
  'sign-in-form': 'A sign-in form stands where the material should be.',
  'says-sign-in': 'The page says “{}”.',
  'posts-itself': 'It sends visitors on to the sign-in at {}.',
  'says-organisation': 'The page says “{}”.',
  'status-forbidden': 'The service refuses students ({}).',
  'says-ask-for-access': 'The page says “{}”.',
  'says-private': 'The page says “{}”.',
  'says-closed': 'The page says “{}”.',
  'says-expired': 'The page says “{}”.',
  'says-not-yet': 'It is not open yet. The page says “{}”.',
  'says-over-limit': 'Its limit is reached. The page says “{}”.',
  'asks-first': 'Something stands before it: “{}”.',
  'asks-consent': 'A page about cookies or data stands before it (“{}”).',
  'asks-age': 'It asks how old the visitor is (“{}”).',
  'download-only': 'It is saved to the device instead of shown ({}).',
  'not-encrypted': '{} sends it unencrypted; many phones warn of that.',
  slow: 'It took {} seconds to open.',
  'holds-locked': '“{}” in it does not open.',
  'may-change': 'Whoever opens it may change it.',
  'robot-check': 'The service wants to know whether a person opens it (“{}”); the check does not pretend to be one.',
  'needs-script': 'The page shows nothing until its scripts run.',
  'status-error': 'The service answered with an error ({}).',
  'unexpected-status': 'The service gave an unusual answer ({}).',
  'nothing-to-see': 'Nothing came back that could be looked at.',
  'check-failed': 'The check itself failed three times; the link may be fine. Open it in a private window to see.',
  'leads-on': 'The page leads on by itself to {}.',
  'kept-here': 'The school’s own server keeps it and shows it to everyone.',
  'page-empty': 'Nothing is written on this page yet.',
  'file-gone': 'Its file was deleted.',
  'file-empty': '“{}” is empty.',
  'file-damaged': '“{}” is damaged or not complete: no device can show it.',
  'file-password': '“{}” asks for a password.',
  'file-unread': '“{}” could not be checked. Try it on a phone.',
  'format-unusual': 'Browsers on phones don’t play {} files.',
  'needs-program': '“{}” needs an office program; most phones can only download it.',
};

export function reasonSentence(reason: VerdictReason, detail: string): string {
  return reasonWords[reason].replace('{}', hostOf(detail));
}

/** Shown beside what opened, for a person to judge. */
export const doubtWords: Readonly<Record<DoubtReason, string>> = {
  'start-page': 'This is the start page of {}: perhaps only part of the address was copied.',
  'title-differs': 'It calls itself “{}”: is that what you meant?',
  'stranger-between': '{} stands between the code and the page. It could stop working, or lead elsewhere one day.',
  'address-loopback':
    'The school’s public address leads to this computer alone: no phone can reach it. Your administrator can change it under School.',
  'address-plain':
    'The school’s public address is not encrypted: phones may warn of it. Your administrator can change that.',
};

export function doubtSentence(reason: DoubtReason, detail: string): string {
  return doubtWords[reason].replace('{}', detail);
}

/** "Students can look, and answer once." */
export function rightsSentence({ look, comment, change, download, answer }: Rights): string {
  const can = [
    look && 'look',
    download && 'save it',
    comment && 'comment',
    change && 'change it',
    answer === 'once' && 'answer once',
    answer === 'again' && 'answer, as often as they like',
  ].filter((words) => words !== false);
  const last = can.pop() ?? 'do nothing with it';
  return `Students can ${can.length === 0 ? last : `${can.join(', ')} and ${last}`}.`;
}

function hostOf(detail: string): string {
  return /^https?:/.test(detail) ? (hostNameOf(detail) ?? detail) : detail;
}
