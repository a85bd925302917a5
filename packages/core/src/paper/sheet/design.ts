/** What a sheet looks like, as data: which design its faces have, its colour, the school's logo and line at the foot. */
import { luminance, rgbOf } from '../../code/look/colour.js';
import type { FaceField } from '../face/fields.js';
import { layoutsOf, type FaceLayoutName } from '../face/face-design-of.js';
import type { SheetKind } from '../face/sheet-kind.js';

export { composedKinds, sheetKinds, type SheetKind } from '../face/sheet-kind.js';

/** Faces of student cards, by what they put first. */
export const cardDesigns = ['band', 'big-code', 'upright'] as const;
/** One of them. */
export type CardDesign = (typeof cardDesigns)[number];

/** The school's logo; `aspect` is width to height. */
export interface HeaderPicture {
  readonly pictureId: string;
  /** Width by height. */
  readonly aspect: number;
  /** On student cards; on sheets it is in the line at the foot. */
  readonly heightMm: number;
}

/** How a kind of sheet looks. */
export interface SheetDesign {
  /** Of the template; null for the plain one. */
  readonly name: string | null;
  /** Absent on sheets of before there were designs, and on student cards: the usual one of the kind. */
  readonly layout?: FaceLayoutName;
  /** `#rrggbb`, of titles, blocks and rules. */
  readonly accent: string;
  readonly header: HeaderPicture | null;
  /** Of student cards; absent on cards of before there were designs. */
  readonly card?: CardDesign;
}

/** The design that comes with Hapset. */
export function plainSheetDesign(kind: SheetKind): SheetDesign {
  const [layout] = layoutsOf(kind);
  return { name: null, ...(layout && { layout }), accent: plainAccent, header: null };
}
/** Titles in black. */
export const plainAccent = '#000000';

/** What is on the front of a kind where nobody chose. */
export const usualFields: Readonly<Record<SheetKind, readonly FaceField[]>> = {
  poster: ['title', 'number', 'instruction', 'tap', 'address', 'class', 'place'],
  'table-card': ['number', 'title', 'instruction', 'address'],
  'small-card': ['title', 'number', 'address'],
  handout: ['number', 'title', 'instruction', 'address'],
  label: ['title', 'class'],
  'student-card': ['title', 'class'],
};

/** Text that is read has to stand out from white paper (WCAG 2.2, 1.4.3). */
export const leastAccentContrast = 4.5;

/** Whether titles in that colour can be read on white paper (WCAG 2.2, 1.4.3). @param accent `#rrggbb` */
export function accentReads(accent: string): boolean {
  return 1.05 / (luminance(rgbOf(accent)) + 0.05) >= leastAccentContrast;
}
