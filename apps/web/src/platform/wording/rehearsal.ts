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

/** What a scanner of that kind resembles. */
export const engineWords: Readonly<Record<ReaderEngineName, string>> = {
  zxing: 'reads like a current phone',
  zbar: 'reads like an older scanner',
  qr: 'reads like a scanner on a web page',
};

/** The reader by itself, in lists. */
export const readerWords: Readonly<Record<ReaderEngineName, string>> = {
  zxing: 'Current phone',
  zbar: 'Older scanner',
  qr: 'Scanner on a web page',
};

export const lightWords: Readonly<Record<LightLevel, string>> = { daylight: 'Daylight', evening: 'Lamps', dim: 'Dim' };
export const techniqueWords: Readonly<Record<PrintTechnique, string>> = {
  laser: 'Laser',
  ink: 'Ink',
  grey: 'Pale grey',
};
export const surfaceWords: Readonly<Record<Surface, string>> = {
  matte: 'Bare',
  taped: 'Taped',
  laminated: 'Laminated',
};

/** What would make it read, after "It would read from there ". */
export const causeWords: Readonly<Record<LimitingCause, string>> = {
  look: 'in black squares on white',
  light: 'in even daylight',
  tilt: 'from straight in front',
  blur: 'with a clean lens and a still hand',
  noise: 'with a lamp at the code',
};

/** "in even daylight, or from straight in front". */
export function causesListed(causes: readonly LimitingCause[]): string {
  return causes.map((cause) => causeWords[cause]).join(', or ');
}

/** What kind of difference a reading has, in brackets behind it. */
export const differenceWords: Readonly<Record<DifferenceKind, string>> = {
  cut: 'it ends elsewhere',
  'line-end': 'another line end',
  encoding: 'the encoding was guessed wrongly',
  'normal-form': 'the same letter, put together otherwise',
  invisible: 'a character that can’t be seen',
  'look-alike': 'a letter that looks alike',
  other: 'another character',
};

/** "“oaf” where “eaf” was meant: another character". */
export function differenceSentence(difference: Pick<Difference, 'meant' | 'read'>): string {
  return `“${difference.read}” where “${difference.meant}” was meant: ${differenceWords[differenceKind(difference)]}`;
}
