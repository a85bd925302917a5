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
  copy: t('services.anOfferToCopyIt'),
};

/** What students would meet there. */
export const roleSentences: Readonly<Record<Exclude<AddressRole, 'student'>, string>> = {
  editor: t('services.thisIsTheEditorsPage'),
  preview: t('services.thisIsAPreviewIt'),
  answers: t('services.thisLeadsToTheAnswers'),
  copy: t('services.thisOffersACopyOf'),
};

export const wallWords: Readonly<Record<WallDescription['verdict'], string>> = {
  'sign-in': t('services.asksToSignIn'),
  organisation: t('services.letsOneOrganisationIn'),
  'named-only': t('services.letsChosenPeopleIn'),
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
  'not-readable': t('services.thisIsNoJSONThat'),
  missing: t('services.somethingIsMissingHere'),
  'unknown-field': t('services.thereIsNoFieldOf'),
  'wrong-kind': t('services.thisHasAnotherFormThan'),
  'wrong-value': t('services.thisValueCantBeUsed'),
  'too-long': t('services.thisIsLongerThanIt'),
  twice: t('services.theSameStandsHereTwice'),
  'host-unusable': t('services.isNoHostNameWrite'),
  'no-host': t('services.nameAtLeastOneHost'),
  'path-unusable': t('services.isNoPathItBegins'),
  'path-or-pattern': t('services.giveAPathOrAn'),
  'pattern-unusable': t('services.theExpressionCantBeRead'),
  'mark-missing': t('services.giveAtLeastOneMark'),
  'student-link-unusable': t('services.isNoPathOnThe'),
  'part-unknown': t('services.neitherPathNorExpressionNames'),
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
    : t('services.thisNeedsAnotherValue');
}

export const serviceFileWords = {
  'too-large': t('services.thisFileIsLargerThan'),
  'not-json': t('services.thisIsNoJSONFile'),
  'no-description': t('services.thereIsNoDescriptionIn'),
} as const;
