import type { Sheet } from './sheet.entity.js';
import type { Print } from './print.entity.js';

/** A sheet as the rest of the server sees it. */
export type SheetRecord = Readonly<Omit<Sheet, 'material' | 'station'>>;

/** A print as the rest of the server sees it. */
export type PrintRecord = Readonly<Omit<Print, 'owner'>>;
