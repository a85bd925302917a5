import type { PicturesView } from '@hapset/contract';
import { t } from '../words.js';

/** One line of HTML that shows the picture, with what is read aloud instead. */
export function htmlLine(
  { webWidthPx, webHeightPx }: Pick<PicturesView, 'webWidthPx' | 'webHeightPx'>,
  address: string,
  name: string,
): string {
  const safe = (text: string): string => text.replace(/[&<>"]/g, (character) => `&#${character.charCodeAt(0)};`);
  return `<img src="${safe(address)}" alt="${safe(t('htmlLine.qRCode', { name }))}" width="${webWidthPx}" height="${webHeightPx}">`;
}
