/** The sign beside what to tap: a phone, a line on it, and the ring of a tap. Own drawing. */
import type { PageTapSign } from '@hapset/core';

/** In a square of 24 by 24, with lines of width 1.6. */
const strokes = [
  'M7 1.5H17A2 2 0 0 1 19 3.5V20.5A2 2 0 0 1 17 22.5H7A2 2 0 0 1 5 20.5V3.5A2 2 0 0 1 7 1.5Z',
  'M8.5 7.5H15.5',
  'M13.2 14.5A1.2 1.2 0 1 1 10.8 14.5A1.2 1.2 0 1 1 13.2 14.5Z',
  'M8.6 17.4A4.5 4.5 0 1 1 15.4 17.4',
] as const;

export const tapSignStrokes: readonly string[] = strokes;
export const tapSignSide = 24;
export const tapSignLine = 1.6;

/** Where the square lies and how large it is, mm. A turned sign is half a turn about its middle. */
export function tapSignScale({ heightMm }: PageTapSign): number {
  return heightMm / tapSignSide;
}
