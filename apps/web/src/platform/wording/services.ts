import type { FieldProblem } from '@hapset/contract';
import type {
  AddressRole,
  DescriptionProblem,
  DescriptionProblemReason,
  RightDescription,
  WallDescription,
} from '@hapset/core';

/** Whose page an address is, as a choice. */
export const roleWords: Readonly<Record<AddressRole, string>> = {
  student: 'the student’s page',
  editor: 'the editor’s page',
  preview: 'a preview',
  answers: 'the answers',
  copy: 'an offer to copy it',
};

/** What students would meet there. */
export const roleSentences: Readonly<Record<Exclude<AddressRole, 'student'>, string>> = {
  editor: 'This is the editor’s page: students would be asked to sign in, or could change it.',
  preview: 'This is a preview: it may look right to you and not open for students.',
  answers: 'This leads to the answers: students would see them, or be asked to sign in.',
  copy: 'This offers a copy of it: students would be asked to sign in.',
};

export const wallWords: Readonly<Record<WallDescription['verdict'], string>> = {
  'sign-in': 'asks to sign in',
  organisation: 'lets one organisation in',
  'named-only': 'lets chosen people in',
  closed: 'takes no more answers',
  missing: 'has nothing there',
  obstructed: 'asks something first',
};

export const rightWords: Readonly<Record<RightDescription['can'], string>> = {
  look: 'look',
  comment: 'comment',
  change: 'change it',
  download: 'save it',
  answer: 'answer',
};

/** What is wrong with a description. `{}` stands for the detail. */
export const descriptionProblemWords: Readonly<Record<DescriptionProblemReason, string>> = {
  'not-readable': 'This is no JSON that can be read: {}',
  missing: 'Something is missing here.',
  'unknown-field': 'There is no field of that name.',
  'wrong-kind': 'This has another form than it must have.',
  'wrong-value': 'This value can’t be used. {}',
  'too-long': 'This is longer than it may be.',
  twice: 'The same stands here twice.',
  'host-unusable': '“{}” is no host name. Write it without https:// and without a path: docs.example.org',
  'no-host': 'Name at least one host.',
  'path-unusable': '“{}” is no path. It begins with /, and its parts are words, {name}, * or, at the end, **.',
  'path-or-pattern': 'Give a path or an expression, one of the two.',
  'pattern-unusable': 'The expression can’t be read: {}',
  'mark-missing': 'Give at least one mark: a host, words or an expression.',
  'student-link-unusable': '“{}” is no path on the same host. It begins with a single /.',
  'part-unknown': 'Neither path nor expression names a part “{}”.',
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
    : 'This needs another value.';
}

export const serviceFileWords = {
  'too-large': 'This file is larger than any description. Choose the file that was exported from Services.',
  'not-json': 'This is no JSON file. Choose the file that was exported from Services.',
  'no-description': 'There is no description in this file: each needs an id and a name.',
} as const;
