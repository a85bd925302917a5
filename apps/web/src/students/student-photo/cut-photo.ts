/** A photo as it is on a card: 4:5, small, drawn again, so that nothing that a camera wrote into the file leaves the browser. */

/** Width and height, px: twice what a card of 20 mm prints. */
const [widthPx, heightPx] = [480, 600];
const aspect = widthPx / heightPx;

/** The part of a picture that is kept, px. @param at from 0 to 1, left to right or top to bottom, as the picture is wider or higher */
export function cutOf(
  width: number,
  height: number,
  at: number,
): { readonly x: number; readonly y: number; readonly width: number; readonly height: number } {
  const isWide = width / height > aspect;
  const [keptWidth, keptHeight] = isWide ? [height * aspect, height] : [width, width / aspect];
  return {
    x: (width - keptWidth) * (isWide ? at : 0.5),
    y: (height - keptHeight) * (isWide ? 0.5 : at),
    width: keptWidth,
    height: keptHeight,
  };
}

/** @returns base64 of a JPEG @throws Error for what the browser can't read as a picture */
export async function cutPhoto(picture: Blob, at: number): Promise<string> {
  const bitmap = await createImageBitmap(picture, { imageOrientation: 'from-image' });
  try {
    const canvas = new OffscreenCanvas(widthPx, heightPx);
    const context = canvas.getContext('2d');
    if (!context) throw new Error('no canvas');
    const { x, y, width, height } = cutOf(bitmap.width, bitmap.height, at);
    context.drawImage(bitmap, x, y, width, height, 0, 0, widthPx, heightPx);
    const jpeg = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
    return base64Of(new Uint8Array(await jpeg.arrayBuffer()));
  } finally {
    bitmap.close();
  }
}

function base64Of(bytes: Uint8Array): string {
  let text = '';
  for (let from = 0; from < bytes.length; from += 8192)
    text += String.fromCharCode(...bytes.subarray(from, from + 8192));
  return btoa(text);
}
