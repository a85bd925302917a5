/**
 * What a sheet looks like, as data: which parts its faces have, in which order, with their text styles and gaps in millimetres. Boxes
 * follow from these, from the paper and from the texts (face.ts), so that one design suits every paper, both ways round.
 */
import { luminance, rgbOf } from '../../code/look/colour.js';
import type { SheetFont } from '../../code/typeface/text.js';

/** What codes of lessons and of the shelf are put on. */
export const composedKinds = ['poster', 'table-card', 'small-card', 'handout', 'label'] as const;
/** Students' cards are made of rosters. */
export const sheetKinds = [...composedKinds, 'student-card'] as const;
/** What is made of paper. */
export type SheetKind = (typeof sheetKinds)[number];

/** What may stand on the front beside the code. */
export const faceFields = ['title', 'number', 'instruction', 'password', 'address', 'tap', 'class', 'place'] as const;
/** A text of the front that may be left out. */
export type FaceField = (typeof faceFields)[number];
/** What it is, what it means, for whom, where to file it. */
export const backFields = ['what', 'meaning', 'for-whom', 'where'] as const;
/** A text of the back. */
export type BackField = (typeof backFields)[number];
/** A text of front or back. */
export type TextField = FaceField | BackField;

/** How a text is set: face, largest and smallest size in points, lines at most, tone. */
export interface TextStyle {
  readonly font: SheetFont;
  readonly sizePt: number;
  readonly floorPt: number;
  readonly maxLines: number;
  readonly tone: 'ink' | 'quiet' | 'accent';
}

/** What a face is made of, from top to bottom. */
export type FacePart =
  | ({ readonly kind: 'text'; readonly field: TextField; readonly gapMm: number; readonly at: PartPlace } & TextStyle)
  /** Shown where there is room: points from what to do to the code. */
  | { readonly kind: 'arrow'; readonly heightMm: number; readonly gapMm: number; readonly at: PartPlace }
  /** The school's own across the top, or what opens; that one only where there is room. */
  | {
      readonly kind: 'picture';
      readonly which: 'header' | 'material';
      readonly heightMm: number;
      readonly gapMm: number;
      readonly at: PartPlace;
    };

/** Above the code, below it, or at the foot of the face; beside it all stand in one column. */
export type PartPlace = 'above' | 'below' | 'foot';

/** A front or a back: its parts and the room between them, mm. */
export interface FaceDesign {
  readonly parts: readonly FacePart[];
  /** From the edge of the face to its texts, and to the paper around the code. */
  readonly padMm: number;
  readonly codePadMm: number;
  /** Texts stand beside the code, over and under it, or as the face is wider or higher. */
  readonly way: 'beside' | 'over' | 'fitting';
  /** The code takes all room that texts leave; otherwise as much as it needs. */
  readonly fills: boolean;
  /** Of the width that the code may take beside texts; left out where it may take most. */
  readonly mostBeside?: number;
}

/** Faces of student cards, by what they put first. */
export const cardDesigns = ['band', 'big-code', 'upright'] as const;
/** One of them. */
export type CardDesign = (typeof cardDesigns)[number];

/** A picture across the top; `aspect` is width to height. */
export interface HeaderPicture {
  readonly pictureId: string;
  /** Width by height. */
  readonly aspect: number;
  readonly heightMm: number;
}

/** How a kind of sheet looks. */
export interface SheetDesign {
  /** Of the template; null for the plain one. */
  readonly name: string | null;
  readonly front: FaceDesign;
  readonly back: FaceDesign;
  /** `#rrggbb`, of titles and rules. */
  readonly accent: string;
  readonly header: HeaderPicture | null;
  /** Of student cards; absent on cards of before there were designs. */
  readonly card?: CardDesign;
}

type Sizes = readonly [sizePt: number, floorPt: number, maxLines: number, gapMm: number];

const text = (
  field: TextField,
  font: SheetFont,
  [sizePt, floorPt, maxLines, gapMm]: Sizes,
  at: PartPlace,
  tone: TextStyle['tone'] = 'ink',
): FacePart => ({ kind: 'text', field, font, sizePt, floorPt, maxLines, gapMm, at, tone });

const ownBack = (scale: number): FaceDesign => ({
  padMm: 3,
  codePadMm: 3,
  way: 'over',
  fills: false,
  parts: [
    text('what', 'heading', [13 * scale, 7, 2, 0], 'above', 'accent'),
    text('meaning', 'text', [11 * scale, 6, 5, 1.5], 'above'),
    text('for-whom', 'text', [9 * scale, 6, 2, 2], 'foot', 'quiet'),
    text('where', 'text-bold', [9 * scale, 6, 2, 0.8], 'foot', 'quiet'),
  ],
});

/** What every front has in common: fonts, tones and who stands where. */
const frontFields: Readonly<Record<FaceField, Pick<TextStyle, 'font' | 'tone'> & { readonly at: PartPlace }>> = {
  number: { font: 'heading', tone: 'quiet', at: 'above' },
  title: { font: 'heading', tone: 'accent', at: 'above' },
  instruction: { font: 'text', tone: 'ink', at: 'below' },
  tap: { font: 'text', tone: 'quiet', at: 'below' },
  password: { font: 'mono', tone: 'ink', at: 'below' },
  address: { font: 'mono', tone: 'ink', at: 'below' },
  class: { font: 'text', tone: 'quiet', at: 'foot' },
  place: { font: 'text', tone: 'quiet', at: 'foot' },
};

/** In the order in which they are read. */
const readInOrder = ['number', 'title', 'instruction', 'tap', 'password', 'address', 'class', 'place'] as const;

function frontParts(sizes: Readonly<Record<FaceField, Sizes>>): readonly FacePart[] {
  return readInOrder.map((field) => {
    const { font, tone, at } = frontFields[field];
    return text(field, font, sizes[field], at, tone);
  });
}

/** What comes before a part of that name. */
function withBefore(
  parts: readonly FacePart[],
  more: Readonly<Partial<Record<FaceField, FacePart>>>,
): readonly FacePart[] {
  return parts.flatMap((part) => [...(part.kind === 'text' ? [more[part.field as FaceField] ?? []].flat() : []), part]);
}

const fronts: Readonly<Record<SheetKind, FaceDesign>> = {
  poster: {
    padMm: 14,
    codePadMm: 4,
    way: 'fitting',
    fills: false,
    parts: withBefore(
      frontParts({
        number: [22, 14, 1, 0],
        title: [40, 20, 2, 0],
        instruction: [20, 12, 2, 1.75],
        tap: [14, 10, 2, 1.75],
        password: [26, 12, 2, 3],
        address: [15, 9, 3, 3.5],
        class: [11, 9, 1, 4.5],
        place: [11, 9, 1, 0.5],
      }),
      {
        number: { kind: 'picture', which: 'header', heightMm: 18, gapMm: 0, at: 'above' },
        instruction: { kind: 'arrow', heightMm: 9, gapMm: 0, at: 'below' },
        class: { kind: 'picture', which: 'material', heightMm: 34, gapMm: 4, at: 'below' },
      },
    ),
  },
  'table-card': {
    padMm: 7,
    codePadMm: 3,
    way: 'fitting',
    fills: true,
    parts: withBefore(
      frontParts({
        number: [13, 9, 1, 0],
        title: [22, 11, 3, 0],
        instruction: [13, 8, 3, 1.8],
        tap: [10, 7, 2, 1.2],
        password: [15, 8, 2, 2],
        address: [10, 6.5, 3, 2],
        class: [9, 6.5, 1, 2.5],
        place: [9, 6.5, 1, 0.8],
      }),
      {
        number: { kind: 'picture', which: 'header', heightMm: 8, gapMm: 0, at: 'above' },
        instruction: { kind: 'arrow', heightMm: 6, gapMm: 3, at: 'below' },
      },
    ),
  },
  'small-card': {
    padMm: 4,
    codePadMm: 2,
    way: 'fitting',
    fills: true,
    parts: frontParts({
      number: [9, 6.5, 1, 0],
      title: [14, 7, 3, 0],
      instruction: [9, 6, 2, 1.2],
      tap: [8, 6, 2, 1],
      password: [11, 7, 2, 1.2],
      address: [7.5, 5.5, 3, 1.2],
      class: [7.5, 5.5, 1, 1.4],
      place: [7.5, 5.5, 1, 0.5],
    }),
  },
  handout: {
    padMm: 3,
    codePadMm: 1.5,
    way: 'fitting',
    fills: true,
    parts: frontParts({
      number: [10, 7, 1, 0],
      title: [15, 8, 2, 0],
      instruction: [11, 7, 2, 1.2],
      tap: [9, 6.5, 2, 1],
      password: [12, 7, 2, 1.2],
      address: [9, 6, 2, 1.2],
      class: [8.5, 6, 1, 1.4],
      place: [8.5, 6, 1, 0.5],
    }),
  },
  label: {
    padMm: 2,
    codePadMm: 1,
    way: 'fitting',
    fills: true,
    parts: frontParts({
      number: [8, 6, 1, 0],
      title: [11, 6, 3, 0],
      instruction: [8, 5.5, 2, 0.8],
      tap: [7, 5.5, 1, 0.8],
      password: [9, 6, 2, 0.8],
      address: [7, 5, 2, 0.8],
      class: [6.5, 5, 1, 1],
      place: [6.5, 5, 1, 0.4],
    }),
  },
  // Title is the student, number what the school calls them, place the school.
  'student-card': {
    padMm: 4,
    codePadMm: 2,
    way: 'beside',
    fills: true,
    mostBeside: 0.5,
    parts: withBefore(
      frontParts({
        number: [10, 7, 1, 0],
        title: [15, 8, 3, 0],
        instruction: [8, 6, 2, 1],
        tap: [8, 6, 1, 1],
        password: [8, 6, 1, 1],
        address: [8, 6, 1, 1],
        class: [11, 7, 2, 1.2],
        place: [7.5, 6, 2, 2.5],
      }),
      {
        number: { kind: 'picture', which: 'header', heightMm: 8, gapMm: 0, at: 'above' },
        class: { kind: 'picture', which: 'material', heightMm: 14, gapMm: 1.5, at: 'below' },
      },
    ),
  },
};

/** On the back of a card: where it belongs, and whose it is, small, so that cut stacks are sorted. */
export const cardBack: FaceDesign = {
  padMm: 4,
  codePadMm: 4,
  way: 'over',
  fills: false,
  parts: [
    text('what', 'text', [9, 6, 2, 0], 'above', 'quiet'),
    text('meaning', 'text-bold', [11, 6.5, 5, 1], 'above'),
    text('for-whom', 'text', [7.5, 6, 1, 2], 'foot', 'quiet'),
    text('where', 'text', [7.5, 6, 1, 0.4], 'foot', 'quiet'),
  ],
};

/** The design that comes with Hapset. */
export function plainSheetDesign(kind: SheetKind): SheetDesign {
  return {
    name: null,
    front: fronts[kind],
    back: ownBack(kind === 'poster' || kind === 'table-card' ? 1.4 : 1),
    accent: plainAccent,
    header: null,
  };
}
/** Titles in black. */
export const plainAccent = '#000000';

/** What is on the front of a kind where nobody chose. */
export const usualFields: Readonly<Record<SheetKind, readonly FaceField[]>> = {
  poster: ['title', 'instruction', 'tap', 'address', 'class', 'place'],
  'table-card': ['number', 'title', 'instruction', 'address'],
  'small-card': ['title', 'address'],
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
