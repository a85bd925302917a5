/** The picture that a page offers for previews, fetched through the same guard and made small. */
import type { Evidence } from '@hapset/core';
import sharp from 'sharp';
import type { StudentBrowser } from '../student-browser/student-browser.js';

const widthPx = 320;
const heightPx = 200;
/** A drawing that would fill more than this when unpacked is left out. */
const mostPixels = 40_000_000;

/** WebP; null without a picture, or for one that can't be read. */
export async function smallPicture(browser: StudentBrowser, { final }: Evidence, publicAddress: string | null, stop: AbortSignal): Promise<Buffer | null> {
  const address = final?.contentType.startsWith('image/') ? final.address : (final?.page?.picture ?? null);
  if (address === null) return null;
  const { picture } = await browser.openPage(address, stop, publicAddress);
  if (picture === null) return null;
  try {
    return await sharp(picture, { limitInputPixels: mostPixels, failOn: 'error' }).rotate().resize(widthPx, heightPx, { fit: 'cover', withoutEnlargement: true }).webp({ quality: 70 }).toBuffer();
  } catch {
    return null; // whatever calls itself a picture and is none
  }
}
