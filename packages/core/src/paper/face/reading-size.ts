/**
 * From where a text is read: letters need a visual angle, as codes need pixels. The height of small letters (x-height) is taken as half of
 * the type size (docs/optics.md).
 */

/** Comfortable to read: 20 minutes of arc. Still legible: 10. Read after stepping up to it: 15. */
export const readingArcs = { comfortable: 20, legible: 10, near: 15 } as const;
/** One of them. */
export type ReadingArc = keyof typeof readingArcs;

const xHeightEm = 0.5;
const pointMm = 25.4 / 72;

/** The type size that has that visual angle at `distanceM`, points. */
export function typeSizePt(distanceM: number, arc: ReadingArc): number {
  return (2 * distanceM * 1000 * Math.tan(halfAngle(arc))) / xHeightEm / pointMm;
}

/** From how far away type of `sizePt` still has that visual angle, metres. */
export function readingDistanceM(sizePt: number, arc: ReadingArc): number {
  return (sizePt * pointMm * xHeightEm) / (2 * Math.tan(halfAngle(arc))) / 1000;
}

function halfAngle(arc: ReadingArc): number {
  return (readingArcs[arc] / 60 / 180) * (Math.PI / 2);
}
