import type { ShortLinkFilter, TryoutOutcome } from '@hapset/contract';
import type { OpeningProblem, VisitorKind } from '@hapset/core';
import { t } from '../language/words.js';

export const visitorWords: Readonly<Record<VisitorKind, string>> = {
  phone: t('shortLinks.phone'),
  tablet: t('shortLinks.tablet'),
  computer: t('shortLinks.computer'),
};

export const openingProblemWords: Readonly<Record<OpeningProblem, string>> = {
  'no-such-time': t('shortLinks.thereIsNoSuchDay'),
  'until-before-from': t('shortLinks.theEndMustComeAfter'),
  'no-day': t('shortLinks.chooseAtLeastOneDay'),
  'too-many-hours': t('shortLinks.thatIsMoreHoursThan'),
};

export const filterWords: Readonly<Record<ShortLinkFilter, string>> = {
  all: t('shortLinks.all'),
  'in-trouble': t('shortLinks.notOpening'),
  'on-paper': t('shortLinks.onPaper'),
  'to-replace': t('shortLinks.toReplace'),
  'taken-down': t('shortLinks.takenDown'),
};

/** What a real device did. */
export const outcomeWords: Readonly<Record<TryoutOutcome, string>> = {
  'as-meant': t('shortLinks.itShowedJustThat'),
  otherwise: t('shortLinks.itShowedSomethingElse'),
  nothing: t('shortLinks.itDidNotReadIt'),
};
