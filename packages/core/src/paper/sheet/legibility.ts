/** Which texts of a poster are too small to be read from where students stand, and from where they are read. */
import type { LaidField } from '../face/fields.js';
import type { TextBox } from '../face/face-content.js';
import { readingDistanceM, type ReadingArc } from '../face/reading-size.js';

/** What is looked for from afar; all else is read after stepping up to it. */
const fromAfar: readonly LaidField[] = ['number', 'title', 'instruction'];
/** Where one stands after stepping up to a poster, metres. */
const nearM = 0.5;

/** A text that is smaller than its distance asks for. */
export interface SmallText {
  readonly field: LaidField;
  readonly sizePt: number;
  /** From where it is still read, metres. */
  readonly readsFromM: number;
  /** From where it should be, metres. */
  readonly distanceM: number;
}

/** @param distanceM of the students, metres */
export function smallTexts(
  texts: readonly Pick<TextBox, 'field' | 'sizePt'>[],
  distanceM: number,
): readonly SmallText[] {
  return texts.flatMap(({ field, sizePt }) => {
    const isFar = fromAfar.includes(field);
    const arc: ReadingArc = 'legible';
    const wantedM = isFar ? distanceM : Math.min(distanceM, nearM);
    const readsFromM = readingDistanceM(sizePt, arc);
    return readsFromM < wantedM - 0.05 ? [{ field, sizePt, readsFromM, distanceM: wantedM }] : [];
  });
}
