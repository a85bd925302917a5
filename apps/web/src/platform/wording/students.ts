/** Words of students: columns, problems of a roster, cards and what reading them says. */
import type { CardBand, CardField, CardReadingResult, RosterUntouched } from '@hapset/contract';
import type {
  CardCode,
  CardDesign,
  RosterPart,
  RosterProblem,
  RosterProblemReason,
  RosterRole,
  TextEncoding,
} from '@hapset/core';
import { t } from './words.js';

export const rosterRoleWords: Readonly<Record<RosterRole, string>> = {
  id: t('students.studentId'),
  name: t('students.fullName'),
  familyFirst: t('students.familyNameFirst'),
  prefix: t('students.prefixVanDe'),
  given: t('students.givenName'),
  middle: t('students.middleNames'),
  family: t('students.familyName'),
  class: t('students.class'),
  year: t('students.year'),
  none: t('students.notUsed'),
};

export const encodingWords: Readonly<Record<TextEncoding, string>> = {
  'utf-8': 'UTF-8',
  'utf-16le': 'UTF-16',
  'utf-16be': t('students.uTF16BigEndian'),
  'windows-1252': t('students.westernEuropeWindows1252'),
  'windows-1250': t('students.centralEuropeWindows1250'),
  'windows-1251': t('students.cyrillicWindows1251'),
  'iso-8859-15': t('students.westernEuropeISO885915'),
};

export const rosterProblemWords: Readonly<Record<RosterProblemReason, string>> = {
  'no-name': t('students.noNameTheRowIs'),
  'name-too-long': t('students.theNameHasMoreThan'),
  'id-too-long': t('students.theIdHasMoreThan'),
  'same-id': t('students.thisIdAlreadyExistsThe'),
  'same-name': t('students.thisNameAlreadyExistsBoth'),
  'looks-like-formula': t('students.itLooksLikeAFormula'),
};

/** "Row 14: “00123” is the id of row 9 as well; left out." */
export function rosterProblemSentence({ row, reason, detail, other }: RosterProblem): string {
  switch (reason) {
    case 'same-id':
      return t('students.rowIdIsAlsoIn', { row, detail, otherRow: other ?? '?' });
    case 'same-name':
      return t('students.rowIsAlsoInRow', { row, detail, otherRow: other ?? '?' });
    case 'no-name':
      return detail === '' ? t('students.rowNoNameTheRow', { row }) : t('students.rowIdHasNoName', { row, detail });
    case 'name-too-long':
    case 'id-too-long':
    case 'looks-like-formula':
      return t('students.row', {
        row,
        detail,
        problem: rosterProblemWords[reason].charAt(0).toLowerCase(),
        more: rosterProblemWords[reason].slice(1),
      });
  }
}

export const rosterPartWords: Readonly<Record<RosterPart, string>> = {
  schoolId: t('students.theId'),
  name: t('students.name'),
  className: t('students.class2'),
  year: t('students.year2'),
};

export const cardCodeWords: Readonly<Record<CardCode, string>> = {
  token: t('students.aRandomToken'),
  id: t('students.theIdAlone'),
  'id-and-name': t('students.idAndName'),
};

export const cardDesignWords: Readonly<Record<CardDesign, string>> = {
  band: t('students.classBand'),
  'big-code': t('students.bigCode'),
  upright: t('students.uprightBadge'),
};

export const cardBandWords: Readonly<Record<CardBand, string>> = {
  class: t('students.colourByClass'),
  year: t('students.colourByYear'),
  none: t('students.noColour'),
};

/** What a stranger who finds the card could read. */
export const cardCodeAbout: Readonly<Record<CardCode, string>> = {
  token: t('students.aStrangerSeesLettersThat'),
  id: t('students.aStrangerSeesTheStudents'),
  'id-and-name': t('students.anyoneWhoFindsTheCard'),
};

export const cardFieldWords: Readonly<Record<CardField, string>> = {
  photo: t('students.photo'),
  class: t('students.class'),
  id: t('students.idInLetters'),
  school: t('students.nameOfTheSchool'),
};

/** Why undoing an import leaves somebody as they are. */
export const rosterUntouchedWords: Readonly<Record<RosterUntouched, string>> = {
  changed: t('students.changedSince'),
  card: t('students.hasACardOrWas'),
  unknown: t('students.importedByAnEarlierVersion'),
};

export const cardResultWords: Readonly<Record<CardReadingResult, string>> = {
  student: t('students.read'),
  left: t('students.hasLeftTheSchool'),
  replaced: t('students.thisCardWasReplacedBy'),
  misread: t('students.thisLooksLikeASchool'),
  'other-class': t('students.thisStudentIsInA'),
  unknown: t('students.notOneOfOurCards'),
};
