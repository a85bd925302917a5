/** Handing a picture on: to a phone's share sheet, or to the clipboard. */
import { ApiError } from '../../platform/api/problem-error.js';

/** Phones offer it; most laptops don't. */
export function canShareFiles(): boolean {
  return (
    typeof navigator.canShare === 'function' &&
    navigator.canShare({ files: [new File([], 'code.png', { type: 'image/png' })] })
  );
}

/** Browsers allow it on secure addresses only. */
export function canCopyPictures(): boolean {
  return typeof navigator.clipboard?.write === 'function' && typeof ClipboardItem === 'function';
}

/** Closing the share sheet is no failure. @throws ApiError unreachable */
export async function sharePicture(address: string, name: string): Promise<void> {
  const file = new File([await fetchPicture(address)], `${name}.png`, { type: 'image/png' });
  await navigator.share({ title: name, files: [file] }).catch((error: unknown) => {
    if (!(error instanceof DOMException && error.name === 'AbortError')) throw error;
  });
}

/** The picture is asked for inside the click: some browsers forbid writing later. @throws ApiError unreachable */
export async function copyPicture(address: string): Promise<void> {
  await navigator.clipboard.write([new ClipboardItem({ 'image/png': fetchPicture(address) })]);
}

async function fetchPicture(address: string): Promise<Blob> {
  const response = await fetch(address).catch(() => null);
  if (!response?.ok) throw new ApiError('unreachable');
  return response.blob();
}
