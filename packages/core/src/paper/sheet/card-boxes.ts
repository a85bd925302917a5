/** Where band, photo, texts and code of a student's card are, by its design. */
import type { CardDesign, HeaderPicture } from './design.js';
import type { FaceContent, TextBox } from '../face/face-content.js';
import type { MmBox, PaperSize } from '../face/box.js';

/** What is the same on all cards, and the card's own band. */
export interface CardLook {
  readonly design: CardDesign;
  readonly header: HeaderPicture | null;
  /** `#rrggbb`; null without. */
  readonly band: string | null;
}

/** Small cards have less of everything; bank cards are the measure. */
const usualHeightMm = 53.98;
const codePadMm = 2;

/** A photo is that wide on a bank card, mm. */
const photoMm = 20;

/** Where the parts of a card are, mm. */
export interface CardBoxes {
  readonly band: MmBox | null;
  /** Symbol with all that is around it. */
  readonly code: MmBox;
  /** Null without. */
  readonly photo: MmBox | null;
  /** Of the name, where it has a place of its own over the photo; null where it is the first of the texts. */
  readonly title: MmBox | null;
  /** Logo, name and all other texts. */
  readonly texts: MmBox;
  readonly align: TextBox['align'];
}

/** @returns where texts and code are on a card of that design @param shape of the code with its surround, in sides of its symbol @param photoAspect width by height */
export function cardBoxes(
  { design, band }: Pick<CardLook, 'design' | 'band'>,
  space: MmBox,
  shape: { readonly across: number; readonly down: number },
  photoAspect?: number,
): CardBoxes {
  const scale = Math.min(1, Math.min(space.heightMm, space.widthMm) / usualHeightMm);
  const padMm = 4 * Math.max(0.55, scale);
  const bandMm = band === null ? 0 : Math.max(4.5, 8 * scale);
  const photo =
    photoAspect === undefined ? null : { widthMm: photoMm * scale, heightMm: (photoMm * scale) / photoAspect };
  return design === 'upright'
    ? uprightBoxes(space, shape, { padMm, bandMm, photo })
    : besideBoxes(design, space, shape, { padMm, bandMm, photo });
}

interface Pads {
  readonly padMm: number;
  readonly bandMm: number;
  readonly photo: PaperSize | null;
}

type Shape = Parameters<typeof cardBoxes>[2];

/** No name is set in less, mm: a photo goes first. */
const leastColumnMm = 15;

function besideBoxes(design: CardDesign, space: MmBox, shape: Shape, pads: Pads): CardBoxes {
  const boxes = design === 'big-code' ? bigCodeBoxes(space, shape, pads) : bandBoxes(space, shape, pads);
  return pads.photo === null || boxes.texts.widthMm >= leastColumnMm
    ? boxes
    : besideBoxes(design, space, shape, { ...pads, photo: null });
}

/** The band across the card, texts and code below it; with a photo, the name over photo and texts. */
function bandBoxes(space: MmBox, shape: Shape, { padMm, bandMm, photo }: Pads): CardBoxes {
  const { xMm, yMm, widthMm, heightMm } = space;
  // Beside a photo the code leaves room for the name.
  const most = photo ? 0.4 : 0.5;
  const sizeMm = Math.min((heightMm - bandMm - 2 * codePadMm) / shape.down, (widthMm * most) / shape.across);
  const codeWidthMm = sizeMm * shape.across;
  const topMm = yMm + bandMm + padMm * 0.6;
  const columnMm = widthMm - codeWidthMm - codePadMm - 2 * padMm;
  const column = { xMm: xMm + padMm, yMm: topMm, widthMm: columnMm, heightMm: heightMm - bandMm - padMm * 1.4 };
  return {
    band: bandMm === 0 ? null : { xMm, yMm, widthMm, heightMm: bandMm },
    code: {
      xMm: xMm + widthMm - codePadMm - codeWidthMm,
      yMm: yMm + bandMm + (heightMm - bandMm - sizeMm * shape.down) / 2,
      widthMm: codeWidthMm,
      heightMm: sizeMm * shape.down,
    },
    ...(photo ? underTitle(column, photo, padMm) : { photo: null, title: null, texts: column }),
    align: 'start',
  };
}

/** The photo at the foot of a column, the texts beside it, the name over both. */
function underTitle(column: MmBox, photo: PaperSize, padMm: number): Pick<CardBoxes, 'photo' | 'title' | 'texts'> {
  const photoY = column.yMm + column.heightMm - photo.heightMm;
  const besideMm = photo.widthMm + padMm * 0.7;
  return {
    photo: { xMm: column.xMm, yMm: photoY, ...photo },
    title: { ...column, heightMm: photoY - column.yMm - 0.5 },
    texts: { xMm: column.xMm + besideMm, yMm: photoY, widthMm: column.widthMm - besideMm, heightMm: photo.heightMm },
  };
}

/** The code over the whole height; the band over the texts alone, a photo under it. */
function bigCodeBoxes(space: MmBox, shape: Shape, { padMm, bandMm, photo }: Pads): CardBoxes {
  const { xMm, yMm, widthMm, heightMm } = space;
  const sizeMm = Math.min((heightMm - 2 * codePadMm) / shape.down, (widthMm * 0.6) / shape.across);
  const codeWidthMm = sizeMm * shape.across;
  const columnX = xMm + codePadMm + codeWidthMm + padMm;
  const columnMm = widthMm - codeWidthMm - codePadMm - 2 * padMm;
  const topMm = yMm + bandMm + padMm * 0.6;
  const photoHeightMm = photo ? photo.heightMm + padMm * 0.5 : 0;
  return {
    band: bandMm === 0 ? null : { xMm: columnX - padMm / 2, yMm, widthMm: columnMm + 1.5 * padMm, heightMm: bandMm },
    code: {
      xMm: xMm + codePadMm,
      yMm: yMm + (heightMm - sizeMm * shape.down) / 2,
      widthMm: codeWidthMm,
      heightMm: sizeMm * shape.down,
    },
    photo: photo && { xMm: columnX, yMm: topMm, ...photo },
    title: null,
    texts: {
      xMm: columnX,
      yMm: topMm + photoHeightMm,
      widthMm: columnMm,
      heightMm: heightMm - bandMm - padMm * 1.4 - photoHeightMm,
    },
    align: 'start',
  };
}

/** One under the other: band, photo, texts, code. */
function uprightBoxes(space: MmBox, shape: Shape, { padMm, bandMm, photo }: Pads): CardBoxes {
  const { xMm, yMm, widthMm, heightMm } = space;
  const most = photo ? 0.34 : 0.46;
  const sizeMm = Math.min((widthMm - 2 * codePadMm) / shape.across, (heightMm * most) / shape.down);
  const code = {
    xMm: xMm + (widthMm - sizeMm * shape.across) / 2,
    yMm: yMm + heightMm - codePadMm - sizeMm * shape.down,
    widthMm: sizeMm * shape.across,
    heightMm: sizeMm * shape.down,
  };
  const topMm = yMm + bandMm + padMm * 0.6;
  const textsMm = topMm + (photo ? photo.heightMm + 1 : 0);
  return {
    band: bandMm === 0 ? null : { xMm, yMm, widthMm, heightMm: bandMm },
    code,
    photo: photo && { xMm: xMm + (widthMm - photo.widthMm) / 2, yMm: topMm, ...photo },
    title: null,
    texts: { xMm: xMm + padMm, yMm: textsMm, widthMm: widthMm - 2 * padMm, heightMm: code.yMm - textsMm },
    align: 'middle',
  };
}

/** @returns the symbol with its surround, in sides of the symbol */
export function shapeOf({ code }: Pick<FaceContent, 'code'>): { readonly across: number; readonly down: number } {
  if (!code) return { across: 1, down: 1 };
  const { modules, surround } = code;
  return {
    across: (surround.left + modules + surround.right) / modules,
    down: (surround.top + modules + surround.bottom) / modules,
  };
}
