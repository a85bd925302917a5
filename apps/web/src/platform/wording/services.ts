import type { FieldProblem } from '@hapset/contract';
import type {
  AddressRole,
  DescriptionProblem,
  DescriptionProblemReason,
  RightDescription,
  WallDescription,
} from '@hapset/core';
import { t } from '../language/words.js';

/** Whose page an address is, as a choice. */
export const roleWords: Readonly<Record<AddressRole, string>> = {
  student: t('services.theStudentsPage'),
  editor: t('services.theEditorsPage'),
  preview: t('services.aPreview'),
  answers: t('services.theAnswers'),
  copy: t('services.anOfferToCopy'),
};

/** What students would meet there. */
export const roleSentences: Readonly<Record<Exclude<AddressRole, 'student'>, string>> = {
  editor: t('services.thisIsTheEditorsPage'),
  preview: t('services.thisIsAPreviewIt'),
  answers: t('services.thisLeadsToTheAnswers'),
  copy: t('services.thisLinkOffersACopy'),
};

export const wallWords: Readonly<Record<WallDescription['verdict'], string>> = {
  'sign-in': t('services.asksToSignIn'),
  organisation: t('services.onlyForOneOrganisation'),
  'named-only': t('services.onlyForChosenPeople'),
  closed: t('services.takesNoMoreAnswers'),
  missing: t('services.hasNothingThere'),
  obstructed: t('services.asksSomethingFirst'),
};

export const rightWords: Readonly<Record<RightDescription['can'], string>> = {
  look: t('services.look'),
  comment: t('services.comment'),
  change: t('services.changeIt'),
  download: t('services.saveIt'),
  answer: t('services.answer'),
};

/** What is wrong with a description. `{}` stands for the detail. */
export const descriptionProblemWords: Readonly<Record<DescriptionProblemReason, string>> = {
  'not-readable': t('services.thisIsNotValidJSON'),
  missing: t('services.somethingIsMissingHere'),
  'unknown-field': t('services.thereIsNoFieldWith'),
  'wrong-kind': t('services.thisHasTheWrongType'),
  'wrong-value': t('services.thisValueCantBeUsed'),
  'too-long': t('services.thisIsTooLong'),
  twice: t('services.thisIsListedTwice'),
  'host-unusable': t('services.isNotAHostName'),
  'no-host': t('services.nameAtLeastOneHost'),
  'path-unusable': t('services.isNotAPathPaths'),
  'path-or-pattern': t('services.enterEitherAPathOr'),
  'pattern-unusable': t('services.theRegularExpressionIsNot'),
  'mark-missing': t('services.enterAtLeastOneSign'),
  'student-link-unusable': t('services.isNotAPathOn'),
  'part-unknown': t('services.neitherThePathNorThe'),
};

export function descriptionProblemSentence({ reason, detail }: Pick<DescriptionProblem, 'reason' | 'detail'>): string {
  return descriptionProblemWords[reason].replace('{}', detail).trim();
}

/** A step without the stars around the words to look for on the service's page, for places that have no bold. */
export function withoutStars(step: string): string {
  return step.replaceAll('**', '');
}

/** The same for a field that the server named. */
export function fieldProblemSentence({ message, detail = '' }: Pick<FieldProblem, 'message' | 'detail'>): string {
  return message in descriptionProblemWords
    ? descriptionProblemSentence({ reason: message as DescriptionProblemReason, detail })
    : t('services.thisValueIsNotRight');
}

export const serviceFileWords = {
  'too-large': t('services.thisFileIsTooLarge'),
  'not-json': t('services.thisIsNotAJSON'),
  'no-description': t('services.thereIsNoDescriptionIn'),
} as const;
