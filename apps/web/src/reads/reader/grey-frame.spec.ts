import type { GreyFrame } from '@hapset/core';
import { glanceAt, greyOf, isUnchanged } from './grey-frame.js';

const [widthPx, heightPx] = [640, 360];
/** A wall with noise of its own for each seed, and a patch of stripes where one is asked for. */
function wall(seed: number, patchPx = 0, light = 150): GreyFrame {
  let state = seed;
  const grey = Uint8Array.from({ length: widthPx * heightPx }, (_, index) => {
    state = (Math.imul(state, 1103515245) + 12345) >>> 0;
    const [x, y] = [index % widthPx, Math.floor(index / widthPx)];
    const inPatch = x >= 500 && x < 500 + patchPx && y >= 40 && y < 40 + patchPx;
    return (inPatch && x % 4 < 2 ? 20 : light) + ((state >>> 16) % 13) - 6;
  });
  return { widthPx, heightPx, grey };
}

describe('grey frames', () => {
  it('weigh colours as cameras do', () => {
    expect([
      ...greyOf(Uint8ClampedArray.from([255, 255, 255, 255, 0, 0, 0, 255, 255, 0, 0, 255, 0, 255, 0, 255])),
    ]).toEqual([255, 0, 76, 149]);
  });

  it('are unchanged by noise and by a lamp that flickers', () => {
    expect(isUnchanged(glanceAt(wall(1)), glanceAt(wall(2)))).toBe(true);
    expect(isUnchanged(glanceAt(wall(1)), glanceAt(wall(2, 0, 156)))).toBe(true);
  });

  it('are changed by a small code that comes into view, and by the first look', () => {
    expect(isUnchanged(glanceAt(wall(1)), glanceAt(wall(2, 24)))).toBe(false);
    expect(isUnchanged(null, glanceAt(wall(1)))).toBe(false);
  });
});
