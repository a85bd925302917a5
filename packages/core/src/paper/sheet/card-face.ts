/**
 * The front of a student's card: a band with the class, name, id and school year, the school's logo, a symbol and the code. Boxes
 * never overlap and never leave the card; what has no room is left out and said so.
 */
import { fitText, lineHeightMm, type MeasureText, type SheetFont } from '../../code/typeface/text.js';
import { cardBoxes, shapeOf, type CardBoxes, type CardLook } from './card-boxes.js';
import type { LaidField } from '../face/fields.js';
import type { BandBox, CodeBox, FaceContent, FaceLayout, PictureBox, TextBox } from '../face/face-content.js';
import type { MmBox } from '../face/box.js';

/** How texts are set. */
export interface CardType {
  readonly measure: MeasureText;
  /** Of all names of the sheet. */
  readonly namePt: number;
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
    Record<LaidField, readonly [font: SheetFont, sizePt: number, floorPt: number, lines: number, tone: TextBox['tone']]>
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
    tapSigns: [],
    bands: boxes.band && look.band !== null ? [{ ...boxes.band, colour: look.band } satisfies BandBox] : [],
    cut: bandText?.cut === true ? ['class', ...cut] : cut,
    leftOut,
  };
}

type PartName = LaidField | ShownPicture;
/** A photo has a place of its own. */
type ShownPicture = Exclude<PictureBox['which'], 'photo'>;
const allParts: readonly PartName[] = ['header', 'title', 'number', 'class', 'place', 'instruction', 'tap', 'material'];

/** All parts, without one after the other while they are too high together. */
function fittingParts(
  names: readonly PartName[],
  problem: PartsProblem,
): { readonly parts: readonly Part[]; readonly leftOut: readonly LaidField[] } {
  let kept = names;
  let parts = partsOf(kept, problem);
  for (const next of firstToGo) {
    if (heightOf(parts) <= problem.boxes.texts.heightMm + 1e-6) break;
    kept = kept.filter((one) => one !== next);
    parts = partsOf(kept, problem);
  }
  const leftOut = names.filter(
    (name): name is LaidField =>
      !kept.includes(name) && name in problem.content.texts && problem.content.texts[name as LaidField] !== '',
  );
  return { parts, leftOut };
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

function textPart(field: LaidField, { boxes, content, type }: PartsProblem): readonly Part[] {
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
  field: LaidField,
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
  const foot: readonly LaidField[] = ['place', 'instruction', 'tap'];
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
