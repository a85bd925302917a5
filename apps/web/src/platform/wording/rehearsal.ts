/** Engines, scenes and causes in words. */
import {
  differenceKind,
  type Difference,
  type DifferenceKind,
  type LightLevel,
  type LimitingCause,
  type PrintTechnique,
  type ReaderEngineName,
  type Surface,
} from '@hapset/core';
import { t } from './words.js';
import { anyOf } from './figures.js';

/** What a scanner of that kind resembles. */
export const engineWords: Readonly<Record<ReaderEngineName, string>> = {
  zxing: t('rehearsal.scansLikeACurrentPhone'),
  zbar: t('rehearsal.scansLikeAnOlderScanner'),
  qr: t('rehearsal.scansLikeAScannerOn'),
};

/** The reader by itself, in lists. */
export const readerWords: Readonly<Record<ReaderEngineName, string>> = {
  zxing: t('rehearsal.currentPhone'),
  zbar: t('rehearsal.olderScanner'),
  qr: t('rehearsal.scannerOnAWebPage'),
};

export const lightWords: Readonly<Record<LightLevel, string>> = {
  daylight: t('rehearsal.daylight'),
  evening: t('rehearsal.lampLight'),
  dim: t('rehearsal.dim'),
};
export const techniqueWords: Readonly<Record<PrintTechnique, string>> = {
  laser: t('rehearsal.laser'),
  ink: t('rehearsal.black'),
  grey: t('rehearsal.paleGrey'),
};
export const surfaceWords: Readonly<Record<Surface, string>> = {
  matte: t('rehearsal.plainPaper'),
  taped: t('rehearsal.taped'),
  laminated: t('rehearsal.laminated'),
};

/** What would make it read, after "It could be read from there ". */
export const causeWords: Readonly<Record<LimitingCause, string>> = {
  look: t('rehearsal.inBlackSquaresOnWhite'),
  light: t('rehearsal.inEvenDaylight'),
  tilt: t('rehearsal.fromStraightInFront'),
  blur: t('rehearsal.withACleanLensAnd'),
  noise: t('rehearsal.withALampAtThe'),
};

/** "in even daylight or from straight in front". */
export function causesListed(causes: readonly LimitingCause[]): string {
  return anyOf(causes.map((cause) => causeWords[cause]));
}

/** What kind of difference a reading has, in brackets behind it. */
export const differenceWords: Readonly<Record<DifferenceKind, string>> = {
  cut: t('rehearsal.itEndsDifferently'),
  'line-end': t('rehearsal.aDifferentLineBreak'),
  encoding: t('rehearsal.theTextEncodingWasGuessed'),
  'normal-form': t('rehearsal.theSameLetterEncodedDifferently'),
  invisible: t('rehearsal.anInvisibleCharacter'),
  'look-alike': t('rehearsal.aLookalikeLetter'),
  other: t('rehearsal.aDifferentCharacter'),
};

/** "“oaf” where “eaf” was meant: another character". */
export function differenceSentence(difference: Pick<Difference, 'meant' | 'read'>): string {
  return t('rehearsal.insteadOf', {
    read: difference.read,
    meant: difference.meant,
    difference: differenceWords[differenceKind(difference)],
  });
}
