/** Paper formats in millimetres, upright. A formats after ISO 216; Letter and Legal after ANSI/ASME Y14.1. */
import type { PaperSize } from '../face/box.js';

/** Papers as they are held upright, mm (ISO 216; ANSI/ASME Y14.1). */
export const paperFormats = {
  A4: { widthMm: 210, heightMm: 297 },
  A5: { widthMm: 148, heightMm: 210 },
  A3: { widthMm: 297, heightMm: 420 },
  Letter: { widthMm: 215.9, heightMm: 279.4 },
  Legal: { widthMm: 215.9, heightMm: 355.6 },
} as const;
/** One of them. */
export type PaperFormat = keyof typeof paperFormats;
/** In the order in which they are offered. */
export const paperNames = ['A4', 'A5', 'A3', 'Letter', 'Legal'] as const satisfies readonly PaperFormat[];

/** What office printers can't reach at the edge, with a little room. */
export const pageMarginMm = 14;

/** Width and height as the sheet is held, mm. @param lying with the long side across */
export function pageSize(paper: PaperFormat, lying: boolean): PaperSize {
  const { widthMm, heightMm } = paperFormats[paper];
  return lying ? { widthMm: heightMm, heightMm: widthMm } : { widthMm, heightMm };
}
