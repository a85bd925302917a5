import type { PicturesView } from '@hapset/contract';
import { documentSizesMm, drawingSize, type CodeDrawing, type DeviceProfile, type LookDesign } from '@hapset/core';

/** Of the picture for web pages, which is shown at half of its pixels: sharp on fine screens. */
export const webPixelsPerModule = 12;
const shownShare = 0.5;

export interface WebPicture {
  readonly pictureToken: string | null;
  readonly pictureShown: boolean;
}

/** A code as it would be printed. */
export interface PrintedLook {
  readonly drawing: CodeDrawing;
  readonly look: LookDesign;
  /** At which a poster would show it. */
  readonly sizeMm: number;
  readonly devices: readonly DeviceProfile[];
}

/** Sizes and addresses of a code's pictures. @param publicAddress the school's */
export function toPicturesView(
  { drawing, look, sizeMm, devices }: PrintedLook,
  { pictureToken, pictureShown }: WebPicture,
  publicAddress: string,
): PicturesView {
  const { suits, smallest } = documentSizesMm(drawing.modules, devices, look);
  const { width, height } = drawingSize(drawing);
  return {
    printingMm: sizeMm,
    documentMm: suits,
    smallestMm: smallest,
    webAddress:
      pictureToken !== null && pictureShown ? `${publicAddress.replace(/\/$/, '')}/c/${pictureToken}.png` : null,
    webWidthPx: width * webPixelsPerModule * shownShare,
    webHeightPx: height * webPixelsPerModule * shownShare,
  };
}
