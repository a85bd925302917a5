/**
 * Five posters that differ in layout. Sizes in points and millimetres on A4; other papers scale them. The number is read first, then the
 * code, title, task, what to tap, the address, and one line at the foot.
 */
import type { FaceDesign, FaceNode } from './face-node.js';
import { code, logo, number, picture, row, stack, tapWith, text } from './parts.js';

const padMm = 14;
const title = text('title', [60, 20, 3]);
const task = text('instruction', [30, 16, 4], { grows: true });
const point = text('point', [30, 16, 2], { grows: true });
const secondPoint = text('point-2', [24, 14, 2]);
const tap = tapWith(13, text('tap', [18, 12, 3]));
const secondTap = text('tap-2', [18, 12, 3]);
const password = text('password', [26, 12, 3]);
const address = text('address', [16, 12, 3]);
const foot = row(5, [logo(10), text('foot', [12, 10, 2])], 'middle');
const toDo = stack(4, [task, point, secondPoint, tap, secondTap, password, address]);
const solid = number('solid', 105, 48);

/** The same foot, margin and share of the code on all of them. */
const poster = (high: readonly FaceNode[], wide: readonly FaceNode[], codeShare = 0.75): FaceDesign => ({
  high,
  wide,
  foot,
  footGapMm: 6,
  padMm,
  codePadMm: 3,
  codeShare,
});

const numberFirst = stack(6, [row(8, [solid, title], 'middle'), code, toDo], 'between');
const numberFirstWide = row(12, [stack(6, [stack(5, [solid, title]), toDo], 'between'), code], 'full');

/** Where the code takes nearly all of the width. */
const pictureOverCode = stack(
  6,
  [row(8, [picture(44, 0.16), row(6, [number('solid', 72, 40), text('title', [36, 20, 3])])]), code, toDo],
  'between',
);
const taskOverCode = stack(
  6,
  [
    row(8, [
      number('solid', 84, 44),
      stack(3, [text('instruction', [40, 18, 5], { grows: true }), text('point', [40, 18, 2])]),
    ]),
    code,
    stack(4, [text('title', [26, 16, 2]), secondPoint, tap, secondTap, password, address]),
  ],
  'between',
);

/** Number and title over the code, what to do under it. */
export const bigNumber = poster([numberFirst], [numberFirstWide]);

/** What opens across the top, code and task side by side. */
export const pictureFirst = poster(
  [
    stack(
      7,
      [
        picture(100, 0.3),
        row(8, [number('solid', 80, 40), text('title', [44, 20, 3])], 'middle'),
        row(8, [toDo, code], 'middle'),
      ],
      'between',
    ),
    pictureOverCode,
    numberFirst,
  ],
  [
    row(
      12,
      [
        stack(
          6,
          [picture(120, 0.5), row(8, [number('solid', 72, 40), text('title', [40, 20, 3])], 'middle'), toDo],
          'between',
        ),
        code,
      ],
      'full',
    ),
    numberFirstWide,
  ],
);

/** The task in the largest letters; code and title side by side under it. */
export const taskFirst = poster(
  [
    stack(
      8,
      [
        row(
          8,
          [
            solid,
            stack(3, [
              text('instruction', [48, 20, 6], { grows: true }),
              text('point', [48, 20, 3]),
              text('point-2', [30, 14, 2]),
            ]),
          ],
          'top',
        ),
        row(
          8,
          [code, stack(5, [text('title', [30, 16, 5]), text('tap', [16, 12, 4]), secondTap, password, address])],
          'middle',
        ),
      ],
      'between',
    ),
    taskOverCode,
    numberFirst,
  ],
  [
    row(
      12,
      [
        stack(
          6,
          [
            row(8, [solid, text('title', [28, 16, 4])], 'middle'),
            stack(3, [
              text('instruction', [46, 18, 7], { grows: true }),
              text('point', [46, 18, 3]),
              text('point-2', [28, 14, 2]),
            ]),
            stack(4, [tap, secondTap, password, address]),
          ],
          'between',
        ),
        code,
      ],
      'full',
    ),
    numberFirstWide,
  ],
);

const language = (field: 'point' | 'point-2', tapField: 'tap' | 'tap-2'): FaceNode =>
  stack(3, [text(field, [24, 14, 4]), text(tapField, [17, 12, 5])]);

/** Each language has a column of its own, of the same size. */
export const twoLanguages = poster(
  [
    stack(
      6,
      [
        row(8, [number('solid', 84, 44), text('title', [48, 20, 3])], 'middle'),
        code,
        stack(4, [task, row(10, [language('point', 'tap'), language('point-2', 'tap-2')], 'top'), password, address]),
      ],
      'between',
    ),
    numberFirst,
  ],
  [
    stack(
      5,
      [
        row(8, [number('solid', 84, 44), text('title', [44, 20, 2])], 'middle'),
        row(10, [stack(4, [language('point', 'tap'), password]), code, language('point-2', 'tap-2')], 'middle'),
        task,
        address,
      ],
      'between',
    ),
    numberFirstWide,
  ],
  0.62,
);

const slim = number('outline', 72, 40);

/** No solid areas, smaller letters, and a code no larger than it must be. */
export const littleInk = poster(
  [
    stack(
      6,
      [
        row(
          7,
          [
            stack(3, [
              text('title', [40, 18, 3]),
              text('instruction', [22, 14, 4], { grows: true }),
              text('point', [22, 14, 2]),
            ]),
            slim,
          ],
          'top',
        ),
        code,
        stack(3, [secondPoint, text('tap', [15, 12, 3]), secondTap, password, address]),
      ],
      'between',
    ),
  ],
  [
    row(
      12,
      [
        code,
        stack(
          5,
          [
            row(7, [text('title', [38, 18, 4]), slim], 'top'),
            stack(3, [text('instruction', [22, 14, 5], { grows: true }), text('point', [22, 14, 2]), secondPoint]),
            stack(3, [text('tap', [15, 12, 3]), secondTap, password, address]),
          ],
          'between',
        ),
      ],
      'full',
    ),
  ],
  0,
);
