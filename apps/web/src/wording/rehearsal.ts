/** Engines, scenes and causes in words. */
import type { LightLevel, LimitingCause, PrintTechnique, ReaderEngineName, Surface } from '@hapset/core';

/** What a scanner of that kind resembles. */
export const engineWords: Readonly<Record<ReaderEngineName, string>> = { zxing: 'reads like a current phone', zbar: 'reads like an older scanner', qr: 'reads like a scanner on a web page' };

/** The reader by itself, in lists. */
export const readerWords: Readonly<Record<ReaderEngineName, string>> = { zxing: 'Current phone', zbar: 'Older scanner', qr: 'Scanner on a web page' };

export const lightWords: Readonly<Record<LightLevel, string>> = { daylight: 'Daylight', evening: 'Lamps', dim: 'Dim' };
export const techniqueWords: Readonly<Record<PrintTechnique, string>> = { laser: 'Laser', ink: 'Ink', grey: 'Pale grey' };
export const surfaceWords: Readonly<Record<Surface, string>> = { matte: 'Bare', taped: 'Taped', laminated: 'Laminated' };

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
