import type { ShortLinkFilter, TryoutOutcome } from '@hapset/contract';
import type { OpeningProblem, VisitorKind } from '@hapset/core';
import { t } from './words.js';

export const visitorWords: Readonly<Record<VisitorKind, string>> = {
  phone: t('shortLinks.phone'),
  tablet: t('shortLinks.tablet'),
  computer: t('shortLinks.computer'),
};

export const openingProblemWords: Readonly<Record<OpeningProblem, string>> = {
  'no-such-time': t('shortLinks.thisDateOrTimeDoes'),
  'until-before-from': t('shortLinks.theEndMustBeAfter'),
  'no-day': t('shortLinks.chooseAtLeastOneDay'),
  'too-many-hours': t('shortLinks.tooManyOpeningHours'),
};

export const filterWords: Readonly<Record<ShortLinkFilter, string>> = {
  all: t('shortLinks.all'),
  'in-trouble': t('shortLinks.notOpening'),
  'on-paper': t('shortLinks.onPaper'),
  'to-replace': t('shortLinks.needsReplacing'),
  'taken-down': t('shortLinks.takenDown'),
};

/** What a real device did. */
export const outcomeWords: Readonly<Record<TryoutOutcome, string>> = {
  'as-meant': t('shortLinks.itShowedExactlyThat'),
  otherwise: t('shortLinks.itShowedSomethingElse'),
  nothing: t('shortLinks.itDidNotReadIt'),
};
