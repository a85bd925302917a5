import type { Carry, Dependency, RungReason } from '@hapset/core';
import { t } from './words.js';

export const rungWords: Readonly<Record<Carry, string>> = {
  link: t('ladder.theLinkAsItIs'),
  trimmed: t('ladder.theLinkWithoutTrackingParameters'),
  'short-link': t('ladder.theSchoolsShortLink'),
  bare: t('ladder.theAddressWithoutHttps'),
  words: t('ladder.theWordsThemselves'),
};

/** After "Code carries". */
export const carriedWords: Readonly<Record<Carry, string>> = {
  link: t('ladder.theLink'),
  trimmed: t('ladder.theShorterLink'),
  'short-link': t('ladder.theSchoolsShortLink2'),
  bare: t('ladder.theAddressWithoutHttps2'),
  words: t('ladder.theWords'),
};

export const dependencyWords: Readonly<Record<Dependency, string>> = {
  page: t('ladder.asLongAsThePage'),
  'page-and-school': t('ladder.asLongAsThePage2'),
  'page-and-reader': t('ladder.someScannersShowItAs'),
  nothing: t('ladder.alwaysWithoutANetwork'),
};

/** Why a rung is recommended. */
export const rungReasonWords: Readonly<Record<RungReason, string>> = {
  'only-one': t('ladder.thisIsTheOnlyOption'),
  exact: t('ladder.itSaysExactlyWhatWas'),
  'reads-farther': t('ladder.noneReadsFromWhereStudents'),
  'fits-the-room': t('ladder.itIsTheMostDirect'),
  'short-reads': t('ladder.onlyTheSchoolsShortLink'),
  coarser: t('ladder.itLeadsToTheSame'),
};
