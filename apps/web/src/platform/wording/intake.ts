/** What the intake says of what was read. */
import type { AddressDoubt, IntakeAnswer, RefusedReason } from '@hapset/core';
import { t } from '../language/words.js';

/** What is doubtful about a link that is asked about. */
export const addressDoubtWords: Readonly<Record<AddressDoubt, string>> = {
  'cut-off': t('intake.thisLinkEndsInDots'),
  'comma-in-host': t('intake.thisLinkHasCommasWhere'),
  'run-together': t('intake.twoLinksMayBeJoined'),
  'unknown-host': t('intake.noPublicWebsiteEndsLike'),
  'name-before-host': t('intake.theWebsiteIsThePart'),
};

/** Why something can't be used, and what to do. */
export const refusedWords: Readonly<Record<RefusedReason, string>> = {
  'file-path': t('intake.thisFileIsOnYour'),
  'scheme-not-web': t('intake.phonesOnlyOpenLinksThat'),
  'not-an-address': t('intake.thisLinkIsNotComplete'),
};

/** What students would get, as a button says it: the verb, and what is opened or shown. */
export function answerWords(answers: readonly IntakeAnswer[]): { readonly verb: string; readonly what: string } {
  const [first] = answers;
  if (answers.length > 1) return { verb: `${answers.length} links`, what: answers.map(whatOf).join('   ') };
  if (!first) return { verb: t('intake.nothing'), what: '' };
  return { verb: verbOf(first), what: whatOf(first) };
}

function verbOf(answer: IntakeAnswer): string {
  if (answer.kind === 'link') return t('intake.link');
  if (answer.kind === 'words') return t('intake.theseWords');
  if (answer.kind === 'unusable') return t('intake.nothing');
  return { 'e-mail': t('intake.eMailTo'), phone: t('intake.phoneCallTo'), 'text-message': t('intake.textMessageTo') }[
    answer.content.kind
  ];
}

function whatOf(answer: IntakeAnswer): string {
  if (answer.kind === 'link') return answer.link;
  if (answer.kind === 'words') return answer.words;
  return answer.kind === 'unusable' ? answer.pasted : contactName(answer.content);
}

/** The address or the number. */
export function contactName(content: Extract<IntakeAnswer, { kind: 'contact' }>['content']): string {
  return content.kind === 'e-mail' ? content.address : content.number;
}
