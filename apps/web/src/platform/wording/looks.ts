/** Looks in words: what they are made of, and what they leave to be desired. */
import type { LookMakers, LookOrigin } from '@hapset/contract';
import type { FinderShape, FrameForm, GradientWay, LookReason, ModuleShape } from '@hapset/core';
import { t } from './words.js';

interface ReasonWords {
  /** In a cell of the bench. */
  readonly short: string;
  /** What is wrong, then what fixes it. */
  readonly long: string;
}

export const lookReasonWords: Readonly<Record<LookReason, ReasonWords>> = {
  'too-little-contrast': {
    short: t('looks.tooLittleContrast'),
    long: t('looks.tooLittleContrastBetweenCode'),
  },
  'not-read-flat': {
    short: t('looks.aReaderCantReadIt'),
    long: t('looks.oneOfOurThreeReaders'),
  },
  'light-on-dark': {
    short: t('looks.lightOnDark'),
    long: t('looks.lightOnDarkScannersDont'),
  },
  'covers-patterns': {
    short: t('looks.centrePictureTooLarge'),
    long: t('looks.theCentrePictureCoversPatterns'),
  },
  'beyond-repair': {
    short: t('looks.centrePictureTooLarge'),
    long: t('looks.theCentrePictureCoversMore'),
  },
  'little-spare-repair': {
    short: t('looks.littleErrorCorrectionLeft'),
    long: t('looks.lessThanHalfOfThe'),
  },
  'no-room-for-centre': {
    short: t('looks.noRoomForACentre'),
    long: t('looks.thisCodeHasNoRoom'),
  },
  'not-allowed': {
    short: t('looks.noLongerAllowed'),
    long: t('looks.theSchoolNoLongerAllows'),
  },
};

export const moduleShapeWords: Readonly<Record<ModuleShape, string>> = {
  plain: t('looks.squares'),
  worn: t('looks.worn'),
  pebbles: t('looks.pebbles'),
  facets: t('looks.facets'),
  reeds: t('looks.reeds'),
  planks: t('looks.planks'),
};
export const finderShapeWords: Readonly<Record<FinderShape, string>> = {
  plain: t('looks.square'),
  worn: t('looks.worn'),
  ring: t('looks.ring'),
  facet: t('looks.facet'),
};
export const gradientWayWords: Readonly<Record<GradientWay, string>> = {
  across: t('looks.leftToRight'),
  down: t('looks.topToBottom'),
  slanting: t('looks.cornerToCorner'),
  outwards: t('looks.fromTheMiddle'),
};
export const frameWords: Readonly<Record<FrameForm, string>> = {
  line: t('looks.line'),
  band: t('looks.band'),
  ticket: t('looks.ticket'),
  tide: t('looks.tide'),
};

/** Nobody gets a look that fails without being told. */
export function failing(reason: string): string {
  return reason === '' ? '' : t('looks.itFailsStationsWithIt', { reason });
}

/** Who chose the look that a code has. */
export const lookOriginWords: Readonly<Record<LookOrigin, string>> = {
  material: t('looks.chosenForThisCode'),
  lesson: t('looks.fromTheLesson'),
  school: t('looks.theSchools'),
  nobody: t('looks.nothingElseWasChosen'),
};
export const lookMakerWords: Readonly<Record<LookMakers, string>> = {
  staff: t('looks.allStaff'),
  administrator: t('looks.theAdministratorOnly'),
};

export const plainLookWords = t('looks.plainBlackOnWhite');
