import type { Carry, Dependency, RungReason } from '@hapset/core';

export const rungWords: Readonly<Record<Carry, string>> = {
  link: 'The link, as it is',
  trimmed: 'The link without what only counts visitors',
  'short-link': 'The school’s short link',
  bare: 'The address without https://',
  words: 'The words themselves',
};

/** After "Code carries". */
export const carriedWords: Readonly<Record<Carry, string>> = {
  link: 'the link',
  trimmed: 'the shorter link',
  'short-link': 'the school’s short link',
  bare: 'the bare address',
  words: 'the words',
};

export const dependencyWords: Readonly<Record<Dependency, string>> = {
  page: 'as long as the page stays there',
  'page-and-school':
    'as long as the page and this server are there; it can be pointed elsewhere without printing again',
  'page-and-reader': 'some scanners show it as text and open nothing',
  nothing: 'for good, without any network',
};

/** Why a rung is recommended. */
export const rungReasonWords: Readonly<Record<RungReason, string>> = {
  'only-one': 'There is one way, and it says exactly what was typed.',
  exact: 'It says exactly what was given, and nothing shorter gains a step.',
  'reads-farther': 'None reads from where students stand yet; this one reads farthest.',
  'fits-the-room': 'It is the first that reads from where students stand.',
  'short-reads': 'Nothing direct reads from where students stand; the school’s short link does.',
  coarser: 'It leads to the same page, and its code is coarser.',
};
