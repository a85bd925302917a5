import type { PicturesView } from '@hapset/contract';

/** One line of HTML that shows the picture, with what is read aloud instead. */
export function htmlLine(
  { webWidthPx, webHeightPx }: Pick<PicturesView, 'webWidthPx' | 'webHeightPx'>,
  address: string,
  name: string,
): string {
  const safe = (text: string): string => text.replace(/[&<>"]/g, (character) => `&#${character.charCodeAt(0)};`);
  return `<img src="${safe(address)}" alt="${safe(`QR code: ${name}`)}" width="${webWidthPx}" height="${webHeightPx}">`;
}
