import type { ShortLinkFilter, TryoutOutcome } from '@hapset/contract';
import type { OpeningProblem, VisitorKind } from '@hapset/core';

export const visitorWords: Readonly<Record<VisitorKind, string>> = {
  phone: 'phone',
  tablet: 'tablet',
  computer: 'computer',
};

export const openingProblemWords: Readonly<Record<OpeningProblem, string>> = {
  'no-such-time': 'There is no such day or time. Choose it from the calendar.',
  'until-before-from': 'The end must come after the begin.',
  'no-day': 'Choose at least one day of the week.',
  'too-many-hours': 'That is more hours than can be kept.',
};

export const filterWords: Readonly<Record<ShortLinkFilter, string>> = {
  all: 'All',
  'in-trouble': 'Not opening',
  'on-paper': 'On paper',
  'to-replace': 'To replace',
  'taken-down': 'Taken down',
};

/** What a real device did. */
export const outcomeWords: Readonly<Record<TryoutOutcome, string>> = {
  'as-meant': 'It showed just that',
  otherwise: 'It showed something else',
  nothing: 'It did not read it',
};
