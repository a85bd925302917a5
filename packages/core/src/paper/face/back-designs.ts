/** Backs: what it is, what it means, for whom, and where to file it. */
import type { FaceDesign, FaceNode } from './face-node.js';
import { number, row, stack, text } from './parts.js';

function back(parts: readonly FaceNode[], foot: readonly FaceNode[], padMm: number): FaceDesign {
  const main = stack(1.5, parts);
  return { high: [main], wide: [main], foot: stack(0.6, foot), footGapMm: 2, padMm, codePadMm: padMm, codeShare: 0 };
}

function own(scale: number, head: FaceNode): FaceDesign {
  return back(
    [head, text('meaning', [11 * scale, 7, 5])],
    [text('for-whom', [9 * scale, 7, 2]), text('where', [9 * scale, 7, 2])],
    3,
  );
}

/** Of posters and table cards. */
export const largeBack = own(1.4, text('what', [18, 8, 2]));
/** Of handouts and labels. */
export const plainBack = own(1, text('what', [13, 7, 2]));
/** Of small cards: with the number and the task, so that a stack of cards is a set of tasks. */
export const smallCardBack = back(
  [
    row(2, [number('plain', 28, 14), text('what', [13, 7, 3])], 'middle'),
    text('instruction', [11, 7, 5]),
    text('meaning', [10, 7, 5]),
  ],
  [text('for-whom', [8, 7, 2]), text('where', [8, 7, 2])],
  3,
);
/** Of student cards: where they belong, and whose they are, small, so that cut stacks are sorted. */
export const studentCardBack = back(
  [
    { kind: 'text', field: 'what', font: 'text', tone: 'quiet', sizePt: 9, floorPt: 6, lines: 2 },
    { kind: 'text', field: 'meaning', font: 'text-bold', tone: 'ink', sizePt: 11, floorPt: 6.5, lines: 5 },
  ],
  [
    { kind: 'text', field: 'for-whom', font: 'text', tone: 'quiet', sizePt: 7.5, floorPt: 6, lines: 1 },
    { kind: 'text', field: 'where', font: 'text', tone: 'quiet', sizePt: 7.5, floorPt: 6, lines: 1 },
  ],
  4,
);
