/** Words of sheets: kinds, what is on them, what is not right with them. */
import type { PrintState, SheetNotice, SheetWarning } from '@hapset/contract';
import type {
  PaperChange,
  FaceField,
  FaceLayoutName,
  GridProblem,
  PaperFormat,
  SheetKind,
  TextField,
} from '@hapset/core';
import { anyOf, metres, namesListed } from './figures.js';
import { obstacleWords, wordsOfVerdict } from './verdicts.js';
import { warningWords } from './warnings.js';
import { t } from './words.js';

export const sheetKindWords: Readonly<Record<SheetKind, string>> = {
  poster: t('sheets.posters'),
  'table-card': t('sheets.tableCards'),
  'small-card': t('sheets.smallCards'),
  handout: t('sheets.handout'),
  label: t('sheets.labels'),
  'student-card': t('sheets.studentCards'),
};

export const sheetKindAbout: Readonly<Record<SheetKind, string>> = {
  poster: t('sheets.oneCodePerPageLarge'),
  'table-card': t('sheets.cutOutAndFoldFor'),
  'small-card': t('sheets.toCutOutHandRound'),
  handout: t('sheets.allCodesOnOneSheet'),
  label: t('sheets.onSheetsOfStickyLabels'),
  'student-card': t('sheets.forTheStudentsOfA'),
};

export const paperWords: Readonly<Record<PaperFormat, string>> = {
  A4: 'A4',
  A5: 'A5 (small)',
  A3: 'A3 (large)',
  Letter: t('sheets.letter8511In'),
  Legal: t('sheets.legal8514In'),
};

export const faceFieldWords: Readonly<Record<FaceField, string>> = {
  title: t('sheets.title'),
  number: t('sheets.stationNumber'),
  instruction: t('sheets.whatToDo'),
  password: t('sheets.networkPasswordLarge'),
  address: t('sheets.webAddress'),
  tap: t('sheets.whatToTap'),
  class: t('sheets.lessonAndClass'),
  place: t('sheets.place'),
};

export const layoutWords: Readonly<Record<FaceLayoutName, string>> = {
  'big-number': t('sheets.bigNumber'),
  'picture-first': t('sheets.pictureFirst'),
  'task-first': t('sheets.taskFirst'),
  'two-languages': t('sheets.twoLanguages'),
  'little-ink': t('sheets.littleInk'),
  'title-first': t('sheets.titleFirst'),
  'code-first': t('sheets.codeFirst'),
};

const backFieldWords = {
  what: t('sheets.whatItIsOnThe'),
  meaning: t('sheets.whatItMeansOnThe'),
  'for-whom': t('sheets.forWhomOnTheBack'),
  where: t('sheets.whereToFileItOn'),
} as const;

export const textFieldWords: Readonly<Record<TextField, string>> = { ...faceFieldWords, ...backFieldWords };

export const gridProblemWords: Readonly<Record<GridProblem['reason'], string>> = {
  'no-room': t('sheets.cellsBelow12MmCant'),
  'cells-overlap': t('sheets.theLabelsOverlapThePitch'),
  'beyond-page': t('sheets.theLabelsDontFitOn'),
};

export const printStateWords: Readonly<Record<PrintState, string>> = {
  drawing: t('sheets.beingMade'),
  done: t('sheets.ready'),
  failed: t('sheets.itCouldNotBeMade'),
  stopped: t('sheets.youStoppedItBeforeIt'),
  expired: t('sheets.itsFileIsDeletedAfter'),
  erased: t('sheets.deletedWithAStudentWho'),
  deleted: t('sheets.itsFileWasDeleted'),
};

/** How paper lies, within a line. */
export const waysRoundInLine = { upright: t('sheets.portrait'), lying: t('sheets.landscape') } as const;

/** "plain design", "design “Tide”". @param design name of the template; null for the plain one */
export function designWords(design: string | null): string {
  return design === null ? t('sheets.plainDesign') : `design “${design}”`;
}

/** "7 pages, codes 90 to 120 mm wide". */
export function pagesWords(pages: number, sizesMm: readonly [number, number] | null): string {
  if (sizesMm === null) return t('sheets.pages', { count: pages });
  const [least, most] = sizesMm.map((size) => Math.floor(size)) as [number, number];
  return t('sheets.pagesCodesMmWide', { count: pages, sizesMm: least === most ? least : `${least} to ${most}` });
}

/** A reach that is too short is not rounded up to the distance that it misses. */
function metresBelow(value: number): string {
  return metres(Math.floor(value * 10 + 1e-6) / 10);
}

/** What is not right with one code, without its name. */
export function noticeSentence(notice: SheetNotice): string {
  const { warning, field, opens, characters, length } = notice;
  switch (warning) {
    case 'too-small':
      return t('sheets.mmReadsFromStudentsStand', { sizeMm: Math.floor(notice.sizeMm ?? 0), ...distancesOf(notice) });
    case 'text-cut':
      return field === null
        ? warningWords[warning]
        : t('sheets.tooLongShortenedWith', { field: textFieldWords[field] });
    case 'text-left-out':
      return field === null ? warningWords[warning] : t('sheets.noRoomNotPrinted', { field: textFieldWords[field] });
    case 'text-small':
      return t('sheets.readsFromStudentsAt', { field: wordsOfField(field), ...distancesOf(notice) });
    case 'address-long':
      return t('sheets.addressOfCharacters', { count: length ?? 0 });
    case 'missing-characters':
      return t('sheets.ourFontsLack', { field: wordsOfField(field), characters: characters.join(' ') });
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

function wordsOfField(field: TextField | null): string {
  return field === null ? t('sheets.wordsAtTheCode') : textFieldWords[field];
}

/** From where it reads, and from where it should. */
function distancesOf({ reachM, distanceM }: SheetNotice): { readonly reach: string; readonly distance: string } {
  return { reach: metresBelow(reachM ?? 0), distance: metres(distanceM ?? 0) };
}

function foundWords({ verdict, reason, obstacle }: NonNullable<SheetNotice['opens']>): string {
  if (obstacle) return obstacleWords[obstacle].heading;
  return verdict === null ? t('sheets.notCheckedYet') : wordsOfVerdict(verdict, reason).heading;
}

/** What helps against a code that is too small; '' where nothing of here does. */
export function tooSmallHelp({
  otherKinds,
  finer,
  larger,
}: Pick<SheetNotice, 'otherKinds' | 'finer' | 'larger'>): string {
  const kinds = anyOf(otherKinds.map((kind) => sheetKindWords[kind].toLowerCase()));
  const ways = larger.map(({ way, reachM }) =>
    way === 'on-a3'
      ? t('sheets.onA3ItReadsFrom', { reach: metresBelow(reachM) })
      : t('sheets.withFewerWordsItReadsFrom', { reach: metresBelow(reachM) }),
  );
  return [
    ...ways,
    kinds === '' ? '' : t('sheets.itIsLargeEnoughAs', { kinds }),
    finer ? t('sheets.aShorterLinkMakesA') : '',
  ]
    .filter((sentence) => sentence !== '')
    .join(' ');
}

export const warningTitles: Readonly<Record<SheetWarning, string>> = {
  'no-code': t('sheets.noCode'),
  locked: t('sheets.locked'),
  'not-opening': t('sheets.doesNotOpen'),
  'to-check': t('sheets.toCheck'),
  'not-opened-yet': t('sheets.neverOpened'),
  'code-to-check': t('sheets.fineCodeOrTextOnly'),
  'does-not-read': t('sheets.doesNotRead'),
  'too-small': t('sheets.tooSmall'),
  'text-cut': t('sheets.textCut'),
  'text-left-out': t('sheets.textLeftOut'),
  'missing-characters': t('sheets.missingCharacters'),
  'text-small': t('sheets.smallText'),
  'address-long': t('sheets.longAddress'),
  'address-not-reachable': t('sheets.noPhoneCanReachIt'),
};

/** What changed since a sheet was printed, in the middle of a sentence. */
export const paperChangeWords: Readonly<Record<PaperChange, string>> = {
  payload: t('sheets.whatTheCodeSays'),
  level: t('sheets.errorCorrectionLevel'),
  look: t('sheets.design'),
  size: t('sheets.size'),
  number: t('sheets.stationNumber2'),
  title: t('sheets.title2'),
  instruction: t('sheets.task'),
  tap: t('sheets.whatToTap2'),
  password: t('sheets.password'),
  address: t('sheets.address'),
  class: t('sheets.class'),
  place: t('sheets.place2'),
  back: t('sheets.back'),
};

/** "title and task". */
export function changesListed(changes: readonly PaperChange[]): string {
  return namesListed(changes.map((change) => paperChangeWords[change]));
}
