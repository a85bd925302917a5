/** Table cards, small cards, handouts and labels: read in the hand or from the chair, so their sizes do not follow a lesson's distance. */
import type { FaceDesign, FaceNode } from './face-node.js';
import { code, logo, number, row, stack, tapWith, text } from './parts.js';

interface Sizes {
  readonly padMm: number;
  readonly codePadMm: number;
  readonly gapMm: number;
  /** Points: number in its block, plain number, title, task, what to tap, password, address, foot. */
  readonly pt: Readonly<
    Record<'block' | 'number' | 'title' | 'task' | 'tap' | 'password' | 'address' | 'foot', number>
  >;
  readonly floorPt: number;
}

const table: Sizes = {
  padMm: 7,
  codePadMm: 3,
  gapMm: 3,
  pt: { block: 54, number: 30, title: 28, task: 17, tap: 13, password: 16, address: 12, foot: 10 },
  floorPt: 10,
};
const small: Sizes = {
  padMm: 3,
  codePadMm: 2,
  gapMm: 1.6,
  pt: { block: 28, number: 12, title: 14, task: 10, tap: 8.5, password: 11, address: 8, foot: 7.5 },
  floorPt: 7,
};
const handout: Sizes = {
  padMm: 2.5,
  codePadMm: 1.5,
  gapMm: 1.4,
  pt: { block: 26, number: 15, title: 16, task: 12, tap: 9.5, password: 12, address: 9.5, foot: 8.5 },
  floorPt: 7,
};
const label: Sizes = {
  padMm: 2,
  codePadMm: 1,
  gapMm: 0.8,
  pt: { block: 22, number: 9, title: 12, task: 8.5, tap: 7.5, password: 9, address: 7.5, foot: 7 },
  floorPt: 7,
};

/** What to do, under the title or in a column of its own. */
function toDo(sizes: Sizes, sign: boolean): FaceNode {
  const { pt, floorPt, gapMm } = sizes;
  const tap = text('tap', [pt.tap, floorPt, 3]);
  return stack(gapMm, [
    text('instruction', [pt.task, floorPt, 4]),
    text('point', [pt.task, floorPt, 2]),
    text('point-2', [pt.tap, floorPt, 2]),
    sign ? tapWith(pt.tap * 0.6, tap) : tap,
    text('tap-2', [pt.tap, floorPt, 3]),
    text('password', [pt.password, floorPt, 3]),
    text('address', [pt.address, floorPt, 3]),
    ...ownFoot(sizes),
  ]);
}

/** On what is small, class and place are the last of the texts: a line over the whole width would make the code smaller. */
function ownFoot(sizes: Sizes): readonly FaceNode[] {
  return sizes === table ? [] : [text('foot', [sizes.pt.foot, sizes.floorPt, 2])];
}

function foot({ pt, floorPt }: Sizes): FaceNode {
  return row(2.5, [logo(8), text('foot', [pt.foot, floorPt, 1])], 'middle');
}

const title = ({ pt, floorPt }: Sizes, share = 1): FaceNode => text('title', [pt.title * share, floorPt, 3]);

function card(sizes: Sizes, high: readonly FaceNode[], wide: readonly FaceNode[], codeShare = 1): FaceDesign {
  const { padMm, codePadMm, gapMm } = sizes;
  return { high, wide, foot: sizes === table ? foot(sizes) : null, footGapMm: gapMm, padMm, codePadMm, codeShare };
}

/** A head over code and texts; in wide cards, head and texts share a column. @param codeAt the side of that column */
function underHead(
  sizes: Sizes,
  head: FaceNode,
  {
    sign = false,
    codeAt = 'end',
    codeShare = 1,
  }: { sign?: boolean; codeAt?: 'start' | 'end'; codeShare?: number } = {},
): FaceDesign {
  const column = stack(sizes.gapMm, [head, toDo(sizes, sign)], 'around');
  const sides = codeAt === 'start' ? [code, column] : [column, code];
  return card(
    sizes,
    [stack(sizes.gapMm, [head, code, toDo(sizes, false)], 'between')],
    [row(sizes.gapMm * 1.5, sides, 'full')],
    codeShare,
  );
}

/** The number in a block with the title beside it. */
function numberFirst(sizes: Sizes): FaceDesign {
  const block = number('solid', sizes.pt.block, sizes.floorPt * 1.6);
  return underHead(sizes, row(sizes.gapMm * 1.2, [block, title(sizes)], 'middle'), { sign: sizes === table });
}

/** The code where reading begins, the texts behind or under it. */
function codeFirst(sizes: Sizes): FaceDesign {
  const words = stack(
    sizes.gapMm,
    [number('plain', sizes.pt.number, sizes.floorPt), title(sizes), toDo(sizes, false)],
    'around',
  );
  return card(
    sizes,
    [
      stack(
        sizes.gapMm,
        [
          code,
          row(sizes.gapMm * 1.2, [number('plain', sizes.pt.title, sizes.floorPt), title(sizes)], 'top'),
          toDo(sizes, false),
        ],
        'between',
      ),
    ],
    [row(sizes.gapMm * 1.5, [code, words], 'full')],
  );
}

/** The title over everything, in larger letters. */
function titleFirst(sizes: Sizes): FaceDesign {
  const plain = number('plain', sizes.pt.title * 1.2, sizes.floorPt);
  return underHead(sizes, row(sizes.gapMm * 1.2, [plain, title(sizes, 1.2)], 'top'));
}

/** What to do in the largest letters. */
function taskFirst(sizes: Sizes): FaceDesign {
  const { pt, floorPt, gapMm } = sizes;
  const task = stack(gapMm, [text('instruction', [pt.title, floorPt, 4]), text('point', [pt.title, floorPt, 2])]);
  const rest = stack(gapMm, [
    row(gapMm * 1.2, [number('plain', pt.title, floorPt), text('title', [pt.task, floorPt, 2])], 'middle'),
    text('point-2', [pt.tap, floorPt, 2]),
    text('tap', [pt.tap, floorPt, 3]),
    text('tap-2', [pt.tap, floorPt, 3]),
    text('password', [pt.password, floorPt, 3]),
    text('address', [pt.address, floorPt, 3]),
    ...ownFoot(sizes),
  ]);
  return card(
    sizes,
    [stack(gapMm, [task, code, rest], 'between')],
    [row(gapMm * 1.5, [code, stack(gapMm, [task, rest], 'around')], 'full')],
  );
}

/** An outlined number and smaller letters; a code no larger than it must be. */
function littleInk(sizes: Sizes): FaceDesign {
  const outlined = number('outline', sizes.pt.block * 0.75, sizes.floorPt * 1.4);
  const head = row(sizes.gapMm, [title(sizes, 0.85), outlined], 'top');
  return underHead(sizes, head, { codeAt: 'start', codeShare: 0 });
}

/** Designs of table cards. */
export const tableCards = {
  'big-number': numberFirst(table),
  'task-first': taskFirst(table),
  'little-ink': littleInk(table),
};
/** Designs of small cards. */
export const smallCards = {
  'code-first': codeFirst(small),
  'title-first': titleFirst(small),
  'big-number': numberFirst(small),
};
/** Designs of handouts. */
export const handouts = { 'title-first': titleFirst(handout), 'task-first': taskFirst(handout) };
/** Designs of labels. */
export const labels = { 'code-first': codeFirst(label), 'title-first': titleFirst(label) };
