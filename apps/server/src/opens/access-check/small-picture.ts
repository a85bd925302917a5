/** The picture that a page offers for previews, fetched through the same guard and made small. */
import type { Evidence } from '@hapset/core';
import type { Decoder } from '../../platform/decoder/decoder.js';
import type { StudentBrowser } from '../student-browser/student-browser.js';

const widthPx = 320;
const heightPx = 200;

/** WebP; null without a picture, or for one that can't be read. */
export async function smallPicture(
  { browser, decoder }: { readonly browser: StudentBrowser; readonly decoder: Decoder },
  { final }: Evidence,
  publicAddress: string | null,
  stop: AbortSignal,
): Promise<Buffer | null> {
  const address = final?.contentType.startsWith('image/') ? final.address : (final?.page?.picture ?? null);
  if (address === null) return null;
  const { picture } = await browser.openPage(address, stop, publicAddress);
  if (picture === null) return null;
  try {
    return Buffer.from((await decoder.decode({ kind: 'preview', picture, widthPx, heightPx })).bytes);
  } catch {
    return null; // whatever calls itself a picture and is none
  }
}
