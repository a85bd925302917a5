/** Pictures and video frames as the grey frames that engines read. */
import type { GreyFrame } from '@hapset/core';

/** What engines read in good time, and larger than any preview stream. */
const longestPx = 2000;
/** Luma of Rec. 601 in thousandths, as cameras make it. */
const [red, green, blue] = [299, 587, 114];

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
export function frameOf(source: CanvasImageSource, width: number, height: number, canvas: HTMLCanvasElement): GreyFrame {
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
  for (let at = 0; at < grey.length; at += 1) grey[at] = ((rgba[at * 4] as number) * red + (rgba[at * 4 + 1] as number) * green + (rgba[at * 4 + 2] as number) * blue) / 1000;
  return grey;
}

const glancePoints = 1200;

/** Every so many pixels: enough to notice a hand that moves. */
export function glanceAt({ grey }: GreyFrame): Uint8Array {
  const step = Math.max(1, Math.floor(grey.length / glancePoints));
  return Uint8Array.from({ length: Math.floor(grey.length / step) }, (_, index) => grey[index * step] ?? 0);
}

/** Grey levels; more than noise, less than a code that comes into view. */
const stillBelow = 2;

export function isUnchanged(before: Uint8Array | null, now: Uint8Array): boolean {
  if (!before || before.length !== now.length) return false;
  let sum = 0;
  for (let at = 0; at < now.length; at += 1) sum += Math.abs((now[at] as number) - (before[at] as number));
  return sum / now.length < stillBelow;
}
