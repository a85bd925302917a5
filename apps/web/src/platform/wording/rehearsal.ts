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
import { t } from '../language/words.js';
import { anyOf } from './figures.js';

/** What a scanner of that kind resembles. */
export const engineWords: Readonly<Record<ReaderEngineName, string>> = {
  zxing: t('rehearsal.readsLikeACurrentPhone'),
  zbar: t('rehearsal.readsLikeAnOlderScanner'),
  qr: t('rehearsal.readsLikeAScannerOn'),
};

/** The reader by itself, in lists. */
export const readerWords: Readonly<Record<ReaderEngineName, string>> = {
  zxing: t('rehearsal.currentPhone'),
  zbar: t('rehearsal.olderScanner'),
  qr: t('rehearsal.scannerOnAWebPage'),
};

export const lightWords: Readonly<Record<LightLevel, string>> = {
  daylight: t('rehearsal.daylight'),
  evening: t('rehearsal.lamps'),
  dim: t('rehearsal.dim'),
};
export const techniqueWords: Readonly<Record<PrintTechnique, string>> = {
  laser: t('rehearsal.laser'),
  ink: t('rehearsal.ink'),
  grey: t('rehearsal.paleGrey'),
};
export const surfaceWords: Readonly<Record<Surface, string>> = {
  matte: t('rehearsal.bare'),
  taped: t('rehearsal.taped'),
  laminated: t('rehearsal.laminated'),
};

/** What would make it read, after "It would read from there ". */
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
  cut: t('rehearsal.itEndsElsewhere'),
  'line-end': t('rehearsal.anotherLineEnd'),
  encoding: t('rehearsal.theEncodingWasGuessedWrongly'),
  'normal-form': t('rehearsal.theSameLetterPutTogether'),
  invisible: t('rehearsal.aCharacterThatCantBe'),
  'look-alike': t('rehearsal.aLetterThatLooksAlike'),
  other: t('rehearsal.anotherCharacter'),
};

/** "“oaf” where “eaf” was meant: another character". */
export function differenceSentence(difference: Pick<Difference, 'meant' | 'read'>): string {
  return t('rehearsal.whereWasMeant', {
    read: difference.read,
    meant: difference.meant,
    differenceWords: differenceWords[differenceKind(difference)],
  });
}
