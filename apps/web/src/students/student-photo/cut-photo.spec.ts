import { cutOf } from './cut-photo.js';

describe('the part of a picture that is kept', () => {
  it.each([
    ['a wide one, its middle', [1000, 500, 0.5], [300, 0, 400, 500]],
    ['a wide one, its left', [1000, 500, 0], [0, 0, 400, 500]],
    ['a wide one, its right', [1000, 500, 1], [600, 0, 400, 500]],
    ['a high one, its top', [400, 1000, 0], [0, 0, 400, 500]],
    ['a high one, its foot', [400, 1000, 1], [0, 500, 400, 500]],
    ['one that fits', [400, 500, 0.2], [0, 0, 400, 500]],
  ] as const)('%s', (_, [width, height, at], [x, y, keptWidth, keptHeight]) =>
    expect(cutOf(width, height, at)).toEqual({ x, y, width: keptWidth, height: keptHeight }),
  );
});
