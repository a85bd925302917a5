import type { AccessVerdict, DoubtReason, Rights, VerdictReason } from '@hapset/core';
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
  'sign-in': { short: 'Asks to sign in', heading: 'Opens for nobody without an account' },
  organisation: { short: 'School accounts only', heading: 'Opens with an account of the school only' },
  'named-only': { short: 'Chosen people only', heading: 'Opens for chosen people only' },
  closed: { short: 'Closed', heading: 'It is closed' },
  missing: { short: 'Nothing there', heading: 'There is nothing at this address' },
  partial: { short: 'Partly locked', heading: 'Opens, but something in it does not' },
  obstructed: { short: 'Something before it', heading: 'Opens, with something in the way' },
  failing: { short: 'Did not answer', heading: 'Could not be opened' },
  unknown: { short: 'Cannot tell', heading: 'Cannot tell whether it opens' },
  refused: { short: 'Not a public address', heading: 'Not an address that students could open' },
};

/** Why, in a sentence. `{}` stands for the detail. */
export const reasonWords: Readonly<Record<VerdictReason, string>> = {
  opened: 'The page opened without an account.',
  'opened-file': 'A file came without an account.',
  'guarded-address': '{} is inside a private network or on the server itself. Hapset opens public addresses only.',
  'not-a-web-address': '{} is no http or https address.',
  'too-many-redirects': 'It was sent on from page to page without end, last at {}.',
  'took-too-long': '{} did not answer within ten seconds.',
  'name-not-found': 'There is no server called {}.',
  'not-reached': '{} does not accept connections.',
  'broken-answer': '{} broke off while answering.',
  'bad-certificate': 'The certificate of {} is not valid; phones would warn students.',
  'server-error': 'The service itself reports a failure ({}).',
  'too-busy': '{} is too busy to answer just now.',
  'status-missing': 'The service says that nothing is there ({}).',
  'says-missing': 'The page says “{}”.',
  'status-unauthorised': 'The service asks who is there before it shows anything.',
  'led-to-sign-in': 'It leads to the sign-in at {}.',
  'sign-in-form': 'A sign-in form stands where the material should be.',
  'says-sign-in': 'The page says “{}”.',
  'posts-itself': 'It sends visitors on to the sign-in at {}.',
  'says-organisation': 'The page says “{}”.',
  'status-forbidden': 'The service refuses strangers ({}).',
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
  'needs-script': 'The page shows nothing until its script runs, which the check does not do.',
  'unexpected-status': 'The service gave an unusual answer ({}).',
  'nothing-to-see': 'Nothing came back that could be looked at.',
  'check-failed': 'The check itself failed three times; the link may be fine. Open it in a private window to see.',
  'leads-on': 'The page leads on by itself to {}.',
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
