import type { AccessVerdict, VerdictReason } from '@hapset/core';

interface VerdictWords {
  /** In the bench's cell. */
  readonly short: string;
  /** As the heading of the Opens part. */
  readonly heading: string;
}

export const verdictWords: Readonly<Record<AccessVerdict, VerdictWords>> = {
  open: { short: 'Anyone', heading: 'Opens for anyone' },
  'sign-in': { short: 'Asks to sign in', heading: 'Opens for nobody without an account' },
  'named-only': { short: 'Chosen people only', heading: 'Opens for chosen people only' },
  closed: { short: 'Takes no answers', heading: 'The form is closed' },
  missing: { short: 'Nothing there', heading: 'There is nothing at this address' },
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
  'status-forbidden': 'The service refuses strangers ({}).',
  'says-ask-for-access': 'The page says “{}”.',
  'says-closed': 'The page says “{}”.',
  'needs-script': 'The page shows nothing until its script runs, which the check does not do.',
  'unexpected-status': 'The service gave an unusual answer ({}).',
  'nothing-to-see': 'Nothing came back that could be looked at.',
  'leads-on': 'The page leads on by itself to {}.',
};

export function reasonSentence(reason: VerdictReason, detail: string): string {
  return reasonWords[reason].replace('{}', hostOf(detail));
}

function hostOf(detail: string): string {
  return /^https?:/.test(detail) && URL.canParse(detail) ? new URL(detail).hostname : detail;
}
