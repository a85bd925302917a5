/** Words of sheets: kinds, what stands on them, what is not right with them. */
import type { PrintState, SheetNotice, SheetWarning } from '@hapset/contract';
import type { PaperChange, FaceField, GridProblem, PaperFormat, SheetKind, TextField } from '@hapset/core';
import { metres, plural } from './figures.js';
import { namesListed } from './scanners.js';
import { obstacleWords, wordsOfVerdict } from './verdicts.js';
import { warningWords } from './warnings.js';

export const sheetKindWords: Readonly<Record<SheetKind, string>> = {
  poster: 'Posters',
  'table-card': 'Table cards',
  'small-card': 'Small cards',
  handout: 'Handout',
  label: 'Labels',
  'student-card': 'Student cards',
};

export const sheetKindAbout: Readonly<Record<SheetKind, string>> = {
  poster: 'One code a page, as large as students’ distance demands.',
  'table-card': 'Cut, fold, and it stands on the table; the code is on both sides.',
  'small-card': 'To cut out, to hand round, to stick in.',
  handout: 'All codes on one sheet, with what to do.',
  label: 'On sheets of sticky labels, by their own figures.',
  'student-card': 'For the students of a roster.',
};

export const paperWords: Readonly<Record<PaperFormat, string>> = {
  A4: 'A4',
  A5: 'A5 (small)',
  A3: 'A3 (large)',
  Letter: 'Letter (8.5 × 11 in)',
  Legal: 'Legal (8.5 × 14 in)',
};

export const faceFieldWords: Readonly<Record<FaceField, string>> = {
  title: 'Title',
  number: 'Station number',
  instruction: 'What to do',
  password: 'Password of a network, large',
  address: 'Address in letters',
  tap: 'What to tap',
  class: 'Lesson and class',
  place: 'Place',
};

const backFieldWords = {
  what: 'What it is, on the back',
  meaning: 'What it means, on the back',
  'for-whom': 'For whom, on the back',
  where: 'Where to file it, on the back',
} as const;

export const textFieldWords: Readonly<Record<TextField, string>> = { ...faceFieldWords, ...backFieldWords };

export const gridProblemWords: Readonly<Record<GridProblem['reason'], string>> = {
  'no-room': 'The cells are smaller than any code that is read (12 mm). Take fewer a page, or larger paper.',
  'cells-overlap': 'The labels overlap: the step from one to the next is smaller than a label.',
  'beyond-page': 'The labels reach beyond the paper. Look at margins, steps and the number of columns and rows again.',
};

export const printStateWords: Readonly<Record<PrintState, string>> = {
  drawing: 'Being drawn',
  done: 'Ready',
  failed: 'It could not be drawn. Make it again.',
  stopped: 'You stopped it before it was finished.',
  expired: 'Its file was kept for a week. Restore it if you need it.',
  erased: 'A student on it was erased, and its file with them.',
  deleted: 'Its file was deleted.',
};

/** How paper lies, within a line. */
export const waysRoundInLine = { upright: 'portrait', lying: 'landscape' } as const;

/** "plain design", "design “Tide”". @param design name of the template; null for the plain one */
export function designWords(design: string | null): string {
  return design === null ? 'plain design' : `design “${design}”`;
}

/** "7 pages, codes 90 to 120 mm wide". */
export function pagesWords(pages: number, sizesMm: readonly [number, number] | null): string {
  if (sizesMm === null) return plural(pages, 'page');
  const [least, most] = sizesMm.map((size) => Math.floor(size)) as [number, number];
  return `${plural(pages, 'page')}, codes ${least === most ? least : `${least} to ${most}`} mm wide`;
}

/** What is not right with one code, without its name. */
export function noticeSentence({ warning, field, opens, characters, sizeMm, reachM, distanceM }: SheetNotice): string {
  switch (warning) {
    case 'too-small':
      return `${Math.floor(sizeMm ?? 0)} mm reads from ${metres(reachM ?? 0)}; it should from ${metres(distanceM ?? 0)}.`;
    case 'text-cut':
      return field === null ? warningWords[warning] : `${textFieldWords[field]}: too long, it ends with “…”.`;
    case 'text-left-out':
      return field === null ? warningWords[warning] : `${textFieldWords[field]}: no room, it is left out.`;
    case 'missing-characters':
      return `${field === null ? 'Words at the code' : textFieldWords[field]}: no font has ${characters.join(' ')}.`;
    case 'locked':
    case 'not-opening':
    case 'to-check':
      return opens ? `${foundWords(opens)}.` : warningWords[warning];
    case 'no-code':
    case 'code-to-check':
    case 'not-opened-yet':
    case 'does-not-read':
    case 'address-not-reachable':
      return warningWords[warning];
  }
}

function foundWords({ verdict, reason, obstacle }: NonNullable<SheetNotice['opens']>): string {
  if (obstacle) return obstacleWords[obstacle].heading;
  return verdict === null ? 'Not opened yet' : wordsOfVerdict(verdict, reason).heading;
}

/** What helps against a code that is too small; '' where nothing of here does. */
export function tooSmallHelp({ otherKinds, finer }: Pick<SheetNotice, 'otherKinds' | 'finer'>): string {
  const kinds = new Intl.ListFormat('en-GB', { type: 'disjunction' }).format(
    otherKinds.map((kind) => sheetKindWords[kind].toLowerCase()),
  );
  const ways = [
    kinds === '' ? '' : `as ${kinds} it is large enough`,
    finer ? 'a code that carries less is coarser' : '',
  ].filter((way) => way !== '');
  const sentence = ways.join(', and ');
  return sentence === '' ? '' : `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}.`;
}

export const warningTitles: Readonly<Record<SheetWarning, string>> = {
  'no-code': 'No code',
  locked: 'Locked',
  'not-opening': 'Does not open',
  'to-check': 'To check',
  'not-opened-yet': 'Never opened',
  'code-to-check': 'Fine code, or text only',
  'does-not-read': 'Does not read',
  'too-small': 'Too small',
  'text-cut': 'Text cut',
  'text-left-out': 'Text left out',
  'missing-characters': 'Missing characters',
  'address-not-reachable': 'No phone gets there',
};

/** What changed since a sheet was printed, in the middle of a sentence. */
export const paperChangeWords: Readonly<Record<PaperChange, string>> = {
  payload: 'what the code says',
  level: 'error correction level',
  look: 'design',
  size: 'size',
  number: 'station number',
  title: 'title',
  instruction: 'task',
  tap: 'what to tap',
  password: 'password',
  address: 'address',
  class: 'class',
  place: 'place',
  back: 'back',
};

/** "title and task". */
export function changesListed(changes: readonly PaperChange[]): string {
  return namesListed(changes.map((change) => paperChangeWords[change]));
}
