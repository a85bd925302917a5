/** Pictures and video frames as the grey frames that engines read. */
import type { GreyFrame } from '@hapset/core';

/** What engines read in good time, and larger than any preview stream. */
const longestPx = 2000;
/** Luma of Rec. 601 in 1024ths, as cameras make it. */
const [red, green, blue] = [306, 601, 117];

/** @throws Error where the bytes are no picture */
export async function frameOfPicture(picture: Blob): Promise<GreyFrame> {
  const bitmap = await createImageBitmap(picture, { imageOrientation: 'from-image' });
  try {
    return frameOf(bitmap, bitmap.width, bitmap.height, document.createElement('canvas'));
  } finally {
    bitmap.close();
  }
}

/** @param canvas used again from frame to frame */
export function frameOf(
  source: CanvasImageSource,
  width: number,
  height: number,
  canvas: HTMLCanvasElement,
): GreyFrame {
  const scale = Math.min(1, longestPx / Math.max(width, height));
  const [widthPx, heightPx] = [Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale))];
  if (canvas.width !== widthPx || canvas.height !== heightPx) [canvas.width, canvas.height] = [widthPx, heightPx];
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('this browser has no canvas');
  // What is transparent is paper.
  context.fillStyle = '#fff';
  context.fillRect(0, 0, widthPx, heightPx);
  context.drawImage(source, 0, 0, widthPx, heightPx);
  return { widthPx, heightPx, grey: greyOf(context.getImageData(0, 0, widthPx, heightPx).data) };
}

export function greyOf(rgba: Uint8ClampedArray): Uint8Array {
  const grey = new Uint8Array(rgba.length / 4);
  for (let at = 0; at < grey.length; at += 1)
    grey[at] =
      ((rgba[at * 4] as number) * red + (rgba[at * 4 + 1] as number) * green + (rgba[at * 4 + 2] as number) * blue) >>
      10;
  return grey;
}

/** A frame at a glance: the means of so many cells. A mean has a quarter of the noise of its pixels. */
const [cellsAcross, cellsDown] = [80, 45];
const pointsAcross = 4;
/** Grey levels that a cell's mean must change by: more than noise and a lamp that flickers. */
const changeFrom = 12;
/** A small code far away covers more cells than these. */
const fewCells = 3;

export function glanceAt({ grey, widthPx, heightPx }: GreyFrame): Float32Array {
  const glance = new Float32Array(cellsAcross * cellsDown);
  const at = (index: number, cells: number, length: number): number =>
    Math.min(length - 1, Math.floor(((index + 0.5) * length) / (cells * pointsAcross)));
  for (let row = 0; row < cellsDown * pointsAcross; row += 1) {
    const line = at(row, cellsDown, heightPx) * widthPx;
    const cells = Math.floor(row / pointsAcross) * cellsAcross;
    for (let column = 0; column < cellsAcross * pointsAcross; column += 1) {
      const cell = cells + Math.floor(column / pointsAcross);
      glance[cell] =
        (glance[cell] as number) +
        (grey[line + at(column, cellsAcross, widthPx)] as number) / (pointsAcross * pointsAcross);
    }
  }
  return glance;
}

/** Nothing came, went or moved between two glances. */
export function isUnchanged(before: Float32Array | null, now: Float32Array): boolean {
  if (!before) return false;
  let changed = 0;
  for (let cell = 0; cell < now.length && changed < fewCells; cell += 1)
    if (Math.abs((now[cell] as number) - (before[cell] as number)) >= changeFrom) changed += 1;
  return changed < fewCells;
}
