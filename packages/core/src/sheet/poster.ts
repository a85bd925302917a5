/**
 * A poster: one code as large as its distance demands, the title above, what to do and the address in letters
 * below. Everything is boxes in millimetres from the page's top left corner; drawing them is the adapter's work.
 * The quiet zone always lies on the page, because nobody knows the colour of the wall behind it.
 */
import type { CodeDrawing } from '../look/drawing.js';
import type { Surround } from '../look/frame.js';
import type { LookDesign } from '../look/look.js';
import { reachShareOf } from '../look/reach-share.js';
import type { DeviceProfile } from '../optics/device.js';
import { sizeForDistanceMm } from '../optics/predictor.js';
import { paperFormats, pageMarginMm, type PaperFormat } from './paper.js';
import { fitText, lineHeightMm, type FittedText, type MeasureText, type SheetFont, type TextWish } from './text.js';

export interface PosterWish {
  readonly paper: PaperFormat;
  readonly title: string;
  /** What a student should do. */
  readonly instruction: string;
  /** What to tap after scanning; '' for none. */
  readonly tap: string;
  /** The address in letters; null for a code that carries words. */
  readonly address: string | null;
  /** Class, place: one quiet line at the foot; '' for none. */
  readonly foot: string;
  /** Modules a side of the symbol, and around it: quiet zone, frame, caption. */
  readonly modules: number;
  readonly surround: Surround;
  /** Wanted side of the symbol without quiet zone. */
  readonly codeSizeMm: number;
}

export interface TextBox {
  readonly sort: 'text';
  readonly role: 'title' | 'instruction' | 'tap' | 'address' | 'foot';
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly font: SheetFont;
  readonly sizePt: number;
  readonly lines: readonly string[];
}

export interface CodeBox {
  readonly sort: 'code';
  /** Corner of the symbol itself; quiet zone and frame lie around. */
  readonly xMm: number;
  readonly yMm: number;
  readonly sizeMm: number;
}

export interface PosterLayout {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly code: CodeBox;
  readonly texts: readonly TextBox[];
  /** Roles of texts that were cut because they did not fit. */
  readonly cut: readonly TextBox['role'][];
}

const gapMm = 7;
/** What texts, gaps and margins take at most: the smallest sizes with all their lines fit into it. */
const forTextMm = 92;
/** Texts are tried at these shares of their size, so that a long title never takes room from the code. */
const shares = [1, 0.9, 0.8, 0.7, 0.6, 0.5];

/** The largest symbol that a poster on this paper holds, in mm without what is around it. */
export function largestPosterCodeMm(paper: PaperFormat, modules: number, { left, right, top, bottom }: Surround): number {
  const page = paperFormats[paper];
  return Math.floor(modules * Math.min((page.widthMm - 8) / (left + modules + right), (page.heightMm - forTextMm) / (top + modules + bottom)));
}

/**
 * Side of the symbol in mm on a poster, so that every device reads from `distanceM`, in that look; as large as the paper holds
 * where that is less. @param chosenMm a size that was chosen by hand; null to compute it
 */
export function posterCodeMm({ modules, surround }: Pick<CodeDrawing, 'modules' | 'surround'>, look: LookDesign, paper: PaperFormat, distanceM: number, devices: readonly DeviceProfile[], chosenMm: number | null = null): number {
  const largestMm = largestPosterCodeMm(paper, modules, surround);
  return chosenMm === null ? sizeForDistanceMm(modules, distanceM / reachShareOf(look), devices, largestMm) : Math.min(chosenMm, largestMm);
}

/** Lays out a poster. Boxes never overlap and stay inside the page. */
export function layoutPoster(wish: PosterWish, measure: MeasureText): PosterLayout {
  const page = paperFormats[wish.paper];
  const sizeMm = Math.min(wish.codeSizeMm, largestPosterCodeMm(wish.paper, wish.modules, wish.surround));
  const moduleMm = sizeMm / wish.modules;
  const [overMm, underMm] = [wish.surround.top * moduleMm, wish.surround.bottom * moduleMm];
  const roomMm = page.heightMm - sizeMm - overMm - underMm;
  const texts = fitTexts(wish, page.widthMm - 2 * pageMarginMm, roomMm, measure);

  const titleBox = place('title', 'heading', texts.title, pageMarginMm);
  const footBox = place('foot', 'text', texts.foot, page.heightMm - pageMarginMm - height(texts.foot));
  const addressBox = place('address', 'mono', texts.address, footBox.yMm - gapMm - height(texts.address));
  const tapBox = place('tap', 'text', texts.tap, addressBox.yMm - gapMm / 2 - height(texts.tap));
  const instructionBox = place('instruction', 'text', texts.instruction, tapBox.yMm - (texts.tap.lines.length > 0 ? gapMm / 4 : 0) - height(texts.instruction));

  const topMm = titleBox.yMm + titleBox.heightMm;
  const code: CodeBox = { sort: 'code', xMm: (page.widthMm - sizeMm) / 2, yMm: (topMm + overMm + instructionBox.yMm - underMm - sizeMm) / 2, sizeMm };
  // A small code leaves room: what to do moves up to it, so that both are seen as one.
  const lift = Math.max(0, instructionBox.yMm - (code.yMm + sizeMm + underMm) - gapMm);
  const lifted = (box: TextBox): TextBox => ({ ...box, yMm: box.yMm - lift });
  return {
    ...page,
    code,
    texts: [titleBox, lifted(instructionBox), lifted(tapBox), lifted(addressBox), footBox].filter((box) => box.lines.length > 0),
    cut: (['title', 'instruction', 'tap', 'address', 'foot'] as const).filter((role) => texts[role].cut),
  };

  function place(role: TextBox['role'], font: SheetFont, text: FittedText, yMm: number): TextBox {
    return { sort: 'text', role, xMm: pageMarginMm, yMm, widthMm: page.widthMm - 2 * pageMarginMm, heightMm: height(text), font, sizePt: text.sizePt, lines: text.lines };
  }
}

type PosterTexts = Readonly<Record<TextBox['role'], FittedText>>;

/** Fits all four texts into the room that the code leaves, at the largest share of their sizes that does. */
function fitTexts(wish: PosterWish, widthMm: number, roomMm: number, measure: MeasureText): PosterTexts {
  const at = (share: number): PosterTexts => {
    const fit = (text: string, style: Omit<TextWish, 'widthMm'>): FittedText =>
      fitText(text, { ...style, sizePt: Math.max(style.floorPt, Math.round(style.sizePt * share)), widthMm }, measure);
    return {
      title: fit(wish.title, { font: 'heading', sizePt: 40, floorPt: 20, maxLines: 2 }),
      instruction: fit(wish.instruction, { font: 'text', sizePt: 20, floorPt: 12, maxLines: 2 }),
      tap: fit(wish.tap, { font: 'text', sizePt: 14, floorPt: 10, maxLines: 2 }),
      address: fit(wish.address ?? '', { font: 'mono', sizePt: 15, floorPt: 9, maxLines: 3 }),
      foot: fit(wish.foot, { font: 'text', sizePt: 11, floorPt: 9, maxLines: 1 }),
    };
  };
  for (const share of shares) {
    const texts = at(share);
    const takenMm = Object.values(texts).reduce((sum, text) => sum + height(text), 0) + 2 * pageMarginMm + 1.75 * gapMm;
    if (takenMm <= roomMm) return texts;
  }
  return at(shares.at(-1) ?? 0.5);
}

function height(text: FittedText): number {
  return text.lines.length * lineHeightMm(text.sizePt);
}
