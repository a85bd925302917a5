/**
 * What a sheet looks like, as data: which parts its faces have, in which order, with their text styles and gaps in millimetres. Boxes
 * follow from these, from the paper and from the texts (face.ts), so that one design suits every paper, both ways round.
 */
import { luminance, rgbOf } from '../look/colour.js';
import type { SheetFont } from './text.js';

export const sheetKinds = ['poster', 'table-card', 'small-card', 'handout', 'label'] as const;
export type SheetKind = (typeof sheetKinds)[number];

/** What stands on the front beside the code, in the order of who goes last where there is no room. */
export const faceFields = ['title', 'number', 'instruction', 'password', 'address', 'tap', 'class', 'place'] as const;
export type FaceField = (typeof faceFields)[number];
/** What it is, what it means, for whom, where to file it. */
export const backFields = ['what', 'meaning', 'for-whom', 'where'] as const;
export type BackField = (typeof backFields)[number];
export type TextField = FaceField | BackField;

export interface TextStyle {
  readonly font: SheetFont;
  readonly sizePt: number;
  readonly floorPt: number;
  readonly maxLines: number;
  readonly tone: 'ink' | 'quiet' | 'accent';
}

export type FacePart =
  | ({ readonly sort: 'text'; readonly field: TextField; readonly gapMm: number; readonly at: PartPlace } & TextStyle)
  /** Shown where there is room: points from what to do to the code. */
  | { readonly sort: 'arrow'; readonly heightMm: number; readonly gapMm: number; readonly at: PartPlace }
  /** The school's own across the top, or what opens; that one only where there is room. */
  | { readonly sort: 'picture'; readonly which: 'header' | 'material'; readonly heightMm: number; readonly gapMm: number; readonly at: PartPlace };

/** Above the code, below it, or at the foot of the face; beside it all stand in one column. */
export type PartPlace = 'above' | 'below' | 'foot';

export interface FaceDesign {
  readonly parts: readonly FacePart[];
  /** From the edge of the face to its texts, and to the paper around the code. */
  readonly padMm: number;
  readonly codePadMm: number;
  /** Texts stand beside the code, over and under it, or as the face is wider or higher. */
  readonly way: 'beside' | 'over' | 'fitting';
  /** The code takes all room that texts leave; otherwise as much as it needs. */
  readonly fills: boolean;
}

export interface HeaderPicture {
  readonly pictureId: string;
  /** Width by height. */
  readonly aspect: number;
  readonly heightMm: number;
}

export interface SheetDesign {
  readonly front: FaceDesign;
  readonly back: FaceDesign;
  /** `#rrggbb`, of titles and rules. */
  readonly accent: string;
  readonly header: HeaderPicture | null;
}

const text = (field: TextField, font: SheetFont, sizePt: number, floorPt: number, maxLines: number, gapMm: number, at: PartPlace, tone: TextStyle['tone'] = 'ink'): FacePart => ({ sort: 'text', field, font, sizePt, floorPt, maxLines, gapMm, at, tone });

const ownBack = (scale: number): FaceDesign => ({
  padMm: 3,
  codePadMm: 3,
  way: 'over',
  fills: false,
  parts: [
    text('what', 'heading', 13 * scale, 7, 2, 0, 'above', 'accent'),
    text('meaning', 'text', 11 * scale, 6, 5, 1.5, 'above'),
    text('for-whom', 'text', 9 * scale, 6, 2, 2, 'foot', 'quiet'),
    text('where', 'text-bold', 9 * scale, 6, 2, 0.8, 'foot', 'quiet'),
  ],
});

const fronts: Readonly<Record<SheetKind, FaceDesign>> = {
  poster: {
    padMm: 14,
    codePadMm: 4,
    way: 'fitting',
    fills: false,
    parts: [
      { sort: 'picture', which: 'header', heightMm: 18, gapMm: 0, at: 'above' },
      text('number', 'heading', 22, 14, 1, 0, 'above', 'quiet'),
      text('title', 'heading', 40, 20, 2, 0, 'above', 'accent'),
      { sort: 'picture', which: 'material', heightMm: 34, gapMm: 3, at: 'above' },
      { sort: 'arrow', heightMm: 9, gapMm: 0, at: 'below' },
      text('instruction', 'text', 20, 12, 2, 1.75, 'below'),
      text('tap', 'text', 14, 10, 2, 1.75, 'below', 'quiet'),
      text('password', 'mono', 26, 12, 2, 3, 'below'),
      text('address', 'mono', 15, 9, 3, 3.5, 'below'),
      text('class', 'text', 11, 9, 1, 4.5, 'foot', 'quiet'),
      text('place', 'text', 11, 9, 1, 0.5, 'foot', 'quiet'),
    ],
  },
  'table-card': {
    padMm: 7,
    codePadMm: 3,
    way: 'fitting',
    fills: true,
    parts: [
      { sort: 'picture', which: 'header', heightMm: 8, gapMm: 0, at: 'above' },
      text('number', 'heading', 13, 9, 1, 0, 'above', 'quiet'),
      text('title', 'heading', 22, 11, 3, 0, 'above', 'accent'),
      { sort: 'arrow', heightMm: 6, gapMm: 3, at: 'below' },
      text('instruction', 'text', 13, 8, 3, 1.8, 'below'),
      text('tap', 'text', 10, 7, 2, 1.2, 'below', 'quiet'),
      text('password', 'mono', 15, 8, 2, 2, 'below'),
      text('address', 'mono', 10, 6.5, 3, 2, 'below'),
      text('class', 'text', 9, 6.5, 1, 2.5, 'foot', 'quiet'),
      text('place', 'text', 9, 6.5, 1, 0.8, 'foot', 'quiet'),
    ],
  },
  'small-card': {
    padMm: 4,
    codePadMm: 2,
    way: 'fitting',
    fills: true,
    parts: [
      text('number', 'heading', 9, 6.5, 1, 0, 'above', 'quiet'),
      text('title', 'heading', 14, 7, 3, 0, 'above', 'accent'),
      text('instruction', 'text', 9, 6, 2, 1.2, 'below'),
      text('tap', 'text', 8, 6, 2, 1, 'below', 'quiet'),
      text('password', 'mono', 11, 7, 2, 1.2, 'below'),
      text('address', 'mono', 7.5, 5.5, 3, 1.2, 'below'),
      text('class', 'text', 7.5, 5.5, 1, 1.4, 'foot', 'quiet'),
      text('place', 'text', 7.5, 5.5, 1, 0.5, 'foot', 'quiet'),
    ],
  },
  handout: {
    padMm: 3,
    codePadMm: 1.5,
    way: 'fitting',
    fills: true,
    parts: [
      text('number', 'heading', 10, 7, 1, 0, 'above', 'quiet'),
      text('title', 'heading', 15, 8, 2, 0, 'above', 'accent'),
      text('instruction', 'text', 11, 7, 2, 1.2, 'below'),
      text('tap', 'text', 9, 6.5, 2, 1, 'below', 'quiet'),
      text('password', 'mono', 12, 7, 2, 1.2, 'below'),
      text('address', 'mono', 9, 6, 2, 1.2, 'below'),
      text('class', 'text', 8.5, 6, 1, 1.4, 'foot', 'quiet'),
      text('place', 'text', 8.5, 6, 1, 0.5, 'foot', 'quiet'),
    ],
  },
  label: {
    padMm: 2,
    codePadMm: 1,
    way: 'fitting',
    fills: true,
    parts: [
      text('number', 'heading', 8, 6, 1, 0, 'above', 'quiet'),
      text('title', 'heading', 11, 6, 3, 0, 'above', 'accent'),
      text('instruction', 'text', 8, 5.5, 2, 0.8, 'below'),
      text('tap', 'text', 7, 5.5, 1, 0.8, 'below', 'quiet'),
      text('password', 'mono', 9, 6, 2, 0.8, 'below'),
      text('address', 'mono', 7, 5, 2, 0.8, 'below'),
      text('class', 'text', 6.5, 5, 1, 1, 'foot', 'quiet'),
      text('place', 'text', 6.5, 5, 1, 0.4, 'foot', 'quiet'),
    ],
  },
};

/** The design that comes with Hapset. */
export function plainSheetDesign(kind: SheetKind): SheetDesign {
  return { front: fronts[kind], back: ownBack(kind === 'poster' || kind === 'table-card' ? 1.4 : 1), accent: plainAccent, header: null };
}
export const plainAccent = '#000000';

/** What stands on the front of a kind where nobody chose. */
export const usualFields: Readonly<Record<SheetKind, readonly FaceField[]>> = {
  poster: ['title', 'instruction', 'tap', 'address', 'class', 'place'],
  'table-card': ['number', 'title', 'instruction', 'address'],
  'small-card': ['title', 'address'],
  handout: ['number', 'title', 'instruction', 'address'],
  label: ['title', 'class'],
};

/** Text that is read has to stand out from white paper (WCAG 2.2, 1.4.3). */
export const leastAccentContrast = 4.5;

export function accentReads(accent: string): boolean {
  return 1.05 / (luminance(rgbOf(accent)) + 0.05) >= leastAccentContrast;
}
