import type { FieldProblem } from '@hapset/contract';
import {
  descriptionProblemReasons,
  type AddressRole,
  type DescriptionProblem,
  type RightDescription,
  type WallDescription,
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

/** What is wrong with a description. */
export function descriptionProblemSentence({ reason, detail }: Pick<DescriptionProblem, 'reason' | 'detail'>): string {
  return t(`descriptionProblems.${reason}`, { detail }).trim();
}

/** A step without the stars around the words to look for on the service's page, for places that have no bold. */
export function withoutStars(step: string): string {
  return step.replaceAll('**', '');
}

/** The same for a field that the server named. */
export function fieldProblemSentence({ message, detail = '' }: Pick<FieldProblem, 'message' | 'detail'>): string {
  const reason = descriptionProblemReasons.find((known) => known === message);
  return reason ? descriptionProblemSentence({ reason, detail }) : t('services.thisValueIsNotRight');
}

export const serviceFileWords = {
  'too-large': t('services.thisFileIsTooLarge'),
  'not-json': t('services.thisIsNotAJSON'),
  'no-description': t('services.thereIsNoDescriptionIn'),
} as const;
