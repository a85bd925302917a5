import { glanceAt, greyOf, isUnchanged } from './grey-frame.js';

describe('grey frames', () => {
  it('weigh colours as cameras do', () => {
    expect([...greyOf(Uint8ClampedArray.from([255, 255, 255, 255, 0, 0, 0, 255, 255, 0, 0, 255, 0, 255, 0, 255]))]).toEqual([255, 0, 76, 149]);
  });

  it('are not read again while nothing but noise changes, and are when something comes into view', () => {
    const still = { widthPx: 200, heightPx: 100, grey: new Uint8Array(20_000).fill(120) };
    const noisy = { ...still, grey: still.grey.map((level, index) => level + (index % 3) - 1) };
    const moved = { ...still, grey: still.grey.map((level, index) => (index % 200 < 60 ? 20 : level)) };
    expect(isUnchanged(null, glanceAt(still))).toBe(false);
    expect(isUnchanged(glanceAt(still), glanceAt(noisy))).toBe(true);
    expect(isUnchanged(glanceAt(still), glanceAt(moved))).toBe(false);
    expect(isUnchanged(glanceAt(still), glanceAt({ ...still, widthPx: 100, grey: new Uint8Array(10_000) }))).toBe(false);
  });
});
