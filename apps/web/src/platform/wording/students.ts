/** Words of students: columns, problems of a roster, cards and what reading them says. */
import type { CardField, CardReadingResult, RosterUntouched } from '@hapset/contract';
import type { CardCode, RosterPart, RosterProblem, RosterProblemReason, RosterRole } from '@hapset/core';
import type { Encoding } from '../table-file/list-file.js';

export const rosterRoleWords: Readonly<Record<RosterRole, string>> = {
  id: 'Student id',
  name: 'Whole name',
  prefix: 'Prefix (van, de)',
  given: 'Given name',
  middle: 'Middle names',
  family: 'Family name',
  class: 'Class',
  year: 'Year',
  none: 'Not used',
};

export const encodingWords: Readonly<Record<Encoding, string>> = {
  'utf-8': 'UTF-8',
  'utf-16le': 'UTF-16',
  'utf-16be': 'UTF-16, big end first',
  'windows-1252': 'Western Europe (Windows-1252)',
  'windows-1250': 'Central Europe (Windows-1250)',
  'windows-1251': 'Cyrillic (Windows-1251)',
  'iso-8859-15': 'Western Europe (ISO 8859-15)',
};

export const rosterProblemWords: Readonly<Record<RosterProblemReason, string>> = {
  'no-name': 'There is no name; the row is left out.',
  'name-too-long': 'The name has more than 120 characters; the row is left out.',
  'id-too-long': 'The id has more than 40 characters; the row is left out.',
  'same-id': 'The id is there already; the row is left out.',
  'same-name': 'The same name is there already; both are kept apart.',
  'looks-like-formula': 'It looks like a formula; it is kept as text and never runs.',
};

/** "Row 14: “00123” is the id of row 9 as well; left out." */
export function rosterProblemSentence({ row, reason, detail, other }: RosterProblem): string {
  switch (reason) {
    case 'same-id':
      return `Row ${row}: the id ${detail} stands in row ${other ?? '?'} too. This one is left out.`;
    case 'same-name':
      return `Row ${row}: ${detail} stands in row ${other ?? '?'} too. Both are kept, as two people.`;
    case 'no-name':
      return `Row ${row}: there is no name${detail === '' ? '' : ` beside the id ${detail}`}. It is left out.`;
    case 'name-too-long':
    case 'id-too-long':
    case 'looks-like-formula':
      return `Row ${row}, “${detail}”: ${rosterProblemWords[reason].charAt(0).toLowerCase()}${rosterProblemWords[reason].slice(1)}`;
  }
}

export const rosterPartWords: Readonly<Record<RosterPart, string>> = {
  schoolId: 'the id',
  name: 'name',
  className: 'class',
  year: 'year',
};

export const cardCodeWords: Readonly<Record<CardCode, string>> = {
  token: 'A random token',
  id: 'The id alone',
  'id-and-name': 'Id and name',
};

/** What a stranger who finds the card could read. */
export const cardCodeAbout: Readonly<Record<CardCode, string>> = {
  token:
    'A stranger reads letters that mean nothing outside this school. A lost card is replaced and opens nothing any more.',
  id: 'A stranger reads the student’s id. Other systems of the school can use it; a lost card goes on being valid.',
  'id-and-name': 'A stranger reads id and name. Nothing about the student is kept from whoever finds the card.',
};

export const cardFieldWords: Readonly<Record<CardField, string>> = {
  class: 'Class',
  id: 'Id in letters',
  school: 'Name of the school',
};

/** Why undoing an import leaves somebody as they are. */
export const rosterUntouchedWords: Readonly<Record<RosterUntouched, string>> = {
  changed: 'changed since',
  card: 'has a card or was read',
  unknown: 'imported by an earlier version',
};

export const cardResultWords: Readonly<Record<CardReadingResult, string>> = {
  student: 'Read',
  left: 'Has left the school.',
  replaced: 'This card was replaced by another one.',
  misread: 'This looks like a card of a school, but a character was misread. Hold it still and straight.',
  'other-class': 'This student is in a class that you don’t see.',
  unknown: 'Not one of our cards.',
};
