/** How many CSS pixels a millimetre has on this screen: found once by laying a card against it, and kept in the browser. */

/** Width of a bank card, mm (ISO/IEC 7810, ID-1). */
export const cardWidthMm = 85.6;
export const cardHeightMm = 53.98;
/** What style sheets take for a millimetre (CSS Values, 6.2); screens rarely agree. */
export const nominalPxPerMm = 96 / 25.4;
const bounds = { least: 1.5, most: 12 } as const;
const key = 'hapset.pxPerMm';

/** Null before it was calibrated. */
export function readPxPerMm(store: Pick<Storage, 'getItem'>): number | null {
  const kept = Number(store.getItem(key));
  return kept >= bounds.least && kept <= bounds.most ? kept : null;
}

export function keepPxPerMm(store: Pick<Storage, 'setItem'>, pxPerMm: number): void {
  store.setItem(key, String(Math.min(bounds.most, Math.max(bounds.least, pxPerMm))));
}

/** Side in mm at which a code with its quiet zone fits into a room on the screen, and how much nearer one stands for it. */
export function shownSize(
  printedMm: number,
  modules: number,
  roomPx: number,
  pxPerMm: number,
): { readonly sizeMm: number; readonly nearer: number } {
  const largestMm = roomPx / pxPerMm / (1 + 8 / modules);
  const sizeMm = Math.min(printedMm, largestMm);
  return { sizeMm, nearer: sizeMm / printedMm };
}
