/**
 * The front of a student's card: a band with the class, name, id and school year, the school's logo, a symbol and the code. Boxes
 * never overlap and never leave the card; what has no room is left out and said so.
 */
import { fitText, lineHeightMm, type MeasureText, type SheetFont } from '../../code/typeface/text.js';
import type { CardDesign, HeaderPicture, TextField } from './design.js';
import type { BandBox, CodeBox, FaceContent, FaceLayout, PictureBox, TextBox } from './face-content.js';
import type { MmBox, PaperSize } from './grid.js';

/** What is the same on all cards, and the card's own band. */
export interface CardLook {
  readonly design: CardDesign;
  readonly header: HeaderPicture | null;
  /** `#rrggbb`; null without. */
  readonly band: string | null;
}

/** How texts are set. */
export interface CardType {
  readonly measure: MeasureText;
  /** Of all names of the sheet. */
  readonly namePt: number;
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

/** A part of the column of texts, as high as it is. */
type Part =
  | {
      readonly kind: 'text';
      readonly box: Omit<TextBox, 'xMm' | 'yMm' | 'widthMm' | 'align'>;
      readonly gapMm: number;
      readonly cut: boolean;
    }
  | {
      readonly kind: 'picture';
      readonly which: PictureBox['which'];
      readonly widthMm: number;
      readonly heightMm: number;
      readonly gapMm: number;
    };

/** How each text is set: largest size, smallest size, lines; what comes later in `firstToGo` stays longer. */
const styles: Readonly<
  Partial<
    Record<TextField, readonly [font: SheetFont, sizePt: number, floorPt: number, lines: number, tone: TextBox['tone']]>
  >
> = {
  number: ['mono', 10, 7, 1, 'ink'],
  class: ['text-bold', 10, 7, 1, 'ink'],
  place: ['text', 8, 6, 2, 'quiet'],
  instruction: ['text', 8, 5.5, 2, 'quiet'],
  tap: ['text', 8, 5.5, 2, 'quiet'],
};
const firstToGo: readonly PartName[] = ['material', 'tap', 'instruction', 'place', 'header', 'class', 'number'];

/** Lays out `content` in `space`. */
export function layoutCard(look: CardLook, space: MmBox, content: FaceContent, type: CardType): FaceLayout {
  const boxes = cardBoxes(look, space, shapeOf(content), content.pictures.photo);
  const bandText = look.band === null ? null : bandTextOf(boxes, content, type);
  const problem = { look, boxes, content, type };
  const ownTitle =
    boxes.title === null ? [] : textPart('title', { ...problem, boxes: { ...boxes, texts: boxes.title } });
  const names = allParts.filter((one) => !(one === 'class' && bandText) && !(one === 'title' && boxes.title));
  const { parts, leftOut } = fittingParts(names, problem);
  const placed = place(parts, boxes);
  const title = boxes.title === null ? [] : place(ownTitle, { texts: boxes.title, align: boxes.align }).texts;
  const cut = [...ownTitle, ...parts].flatMap((part) => (part.kind === 'text' && part.cut ? [part.box.field] : []));
  return {
    code: codeBoxOf(boxes, content),
    texts: [...(bandText ? [bandText.box] : []), ...title, ...placed.texts],
    pictures: [...(boxes.photo ? [{ which: 'photo' as const, ...boxes.photo }] : []), ...placed.pictures],
    arrows: [],
    bands: boxes.band && look.band !== null ? [{ ...boxes.band, colour: look.band } satisfies BandBox] : [],
    cut: bandText?.cut === true ? ['class', ...cut] : cut,
    leftOut,
  };
}

type PartName = TextField | ShownPicture;
/** A photo has a place of its own. */
type ShownPicture = Exclude<PictureBox['which'], 'photo'>;
const allParts: readonly PartName[] = ['header', 'title', 'number', 'class', 'place', 'instruction', 'tap', 'material'];

/** All parts, without one after the other while they are too high together. */
function fittingParts(
  names: readonly PartName[],
  problem: PartsProblem,
): { readonly parts: readonly Part[]; readonly leftOut: readonly TextField[] } {
  const attempts = firstToGo.reduce<readonly (readonly PartName[])[]>(
    (all, next) => [...all, (all.at(-1) ?? names).filter((one) => one !== next)],
    [names],
  );
  const laid = attempts.map((attempt) => ({ attempt, parts: partsOf(attempt, problem) }));
  const { attempt, parts } = laid.find((one) => heightOf(one.parts) <= problem.boxes.texts.heightMm + 1e-6) ??
    laid[laid.length - 1] ?? { attempt: [], parts: [] };
  const leftOut = names.filter(
    (name): name is TextField =>
      !attempt.includes(name) && name in problem.content.texts && problem.content.texts[name as TextField] !== '',
  );
  return { parts, leftOut };
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

function codeBoxOf({ code: box }: CardBoxes, { code }: FaceContent): CodeBox | null {
  if (!code) return null;
  const { modules, surround } = code;
  const moduleMm = box.widthMm / (surround.left + modules + surround.right);
  return {
    xMm: box.xMm + surround.left * moduleMm,
    yMm: box.yMm + surround.top * moduleMm,
    sizeMm: modules * moduleMm,
  };
}

/** The class in words on its band: colour alone tells nobody. */
function bandTextOf(
  { band, align }: CardBoxes,
  { texts }: FaceContent,
  { measure }: CardType,
): { readonly box: TextBox; readonly cut: boolean } | null {
  const words = texts.class ?? '';
  if (!band || words === '') return null;
  const padMm = Math.min(4, band.heightMm / 2);
  const widthMm = band.widthMm - 2 * padMm;
  const sizePt = Math.min(13, Math.floor((band.heightMm * 0.62) / lineHeightMm(1)));
  const {
    lines,
    sizePt: fitted,
    cut,
  } = fitText(words, { font: 'text-bold', sizePt, floorPt: 6, maxLines: 1, widthMm }, measure);
  const heightMm = lineHeightMm(fitted);
  const box: TextBox = {
    ...{ field: 'class', font: 'text-bold', sizePt: fitted, tone: 'ink', align, lines },
    ...{ xMm: band.xMm + padMm, yMm: band.yMm + (band.heightMm - heightMm) / 2, widthMm, heightMm },
  };
  return { box, cut };
}

interface PartsProblem {
  readonly look: CardLook;
  readonly boxes: CardBoxes;
  readonly content: FaceContent;
  readonly type: CardType;
}

function partsOf(wanted: readonly PartName[], problem: PartsProblem): readonly Part[] {
  return wanted.flatMap((one): readonly Part[] =>
    one === 'header' || one === 'material' ? picturePart(one, problem) : textPart(one, problem),
  );
}

function picturePart(which: ShownPicture, { look, boxes, content }: PartsProblem): readonly Part[] {
  const aspect = content.pictures[which];
  if (aspect === undefined) return [];
  const mostMm = which === 'header' ? Math.min(8, look.header?.heightMm ?? 8) : 11;
  const heightMm = Math.min(mostMm, boxes.texts.widthMm / aspect, boxes.texts.heightMm * 0.3);
  return [{ kind: 'picture', which, heightMm, widthMm: heightMm * aspect, gapMm: 1.5 }];
}

function textPart(field: TextField, { boxes, content, type }: PartsProblem): readonly Part[] {
  const words = content.texts[field] ?? '';
  if (words === '') return [];
  const { widthMm } = boxes.texts;
  if (field === 'title') {
    const name = fitText(
      words,
      { font: 'heading', sizePt: type.namePt, floorPt: Math.min(7, type.namePt), maxLines: 3, widthMm },
      type.measure,
    );
    return [toPart(field, 'heading', 'accent', name, 1.2)];
  }
  const [font, sizePt, floorPt, maxLines, tone] = styles[field] ?? ['text', 8, 6, 1, 'quiet'];
  return [
    toPart(
      field,
      font,
      tone,
      fitText(words, { font, sizePt, floorPt, maxLines, widthMm }, type.measure),
      field === 'place' ? 1.6 : 0.8,
    ),
  ];
}

function toPart(
  field: TextField,
  font: SheetFont,
  tone: TextBox['tone'],
  { lines, sizePt, cut }: ReturnType<typeof fitText>,
  gapMm: number,
): Part {
  return {
    kind: 'text',
    cut,
    gapMm,
    box: { field, font, tone, sizePt, lines, heightMm: lines.length * lineHeightMm(sizePt) },
  };
}

function heightOf(parts: readonly Part[]): number {
  return parts.reduce((sum, part, index) => sum + partHeightMm(part) + (index > 0 ? part.gapMm : 0), 0);
}

function partHeightMm(part: Part): number {
  return part.kind === 'text' ? part.box.heightMm : part.heightMm;
}

/** Beside the code, what the school says of itself is at the foot of the column; in the middle, all is together. */
function place(
  parts: readonly Part[],
  { texts: column, align }: Pick<CardBoxes, 'texts' | 'align'>,
): { readonly texts: readonly TextBox[]; readonly pictures: readonly PictureBox[] } {
  const texts: TextBox[] = [];
  const pictures: PictureBox[] = [];
  const spareMm = Math.max(0, column.heightMm - heightOf(parts));
  const foot: readonly TextField[] = ['place', 'instruction', 'tap'];
  let yMm = column.yMm + (align === 'middle' ? spareMm / 2 : 0);
  let isAtFoot = align === 'middle';
  parts.forEach((part, index) => {
    if (!isAtFoot && part.kind === 'text' && foot.includes(part.box.field)) {
      yMm += spareMm;
      isAtFoot = true;
    }
    yMm += index > 0 ? part.gapMm : 0;
    if (part.kind === 'text') texts.push({ ...part.box, align, xMm: column.xMm, yMm, widthMm: column.widthMm });
    else {
      const xMm = column.xMm + (align === 'middle' ? (column.widthMm - part.widthMm) / 2 : 0);
      pictures.push({ which: part.which, xMm, yMm, widthMm: part.widthMm, heightMm: part.heightMm });
    }
    yMm += partHeightMm(part);
  });
  return { texts, pictures };
}
