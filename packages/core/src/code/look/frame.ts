/**
 * What is around a code: its caption, and a frame of our own drawing. All of it lies outside the quiet zone, and takes
 * whole modules, so that a picture with whole pixels a module stays one.
 */
import { quietZoneModules } from '../symbol/plan.js';
import { fitText, type FittedText, type MeasureText } from '../typeface/text.js';
import { box, inThousandths, shapesPath, type Box } from './box.js';
import type { FrameForm, LookDesign } from './look.js';

/** Room on each side of the symbol, quiet zone included, in whole modules. */
export interface Surround {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** Words beside a code, in modules from its upper left corner. */
export interface CaptionText {
  readonly lines: readonly string[];
  /** Height of the letters' line, modules. */
  readonly size: number;
  /** Middle of the lines, and the baseline of each. */
  readonly x: number;
  readonly baselines: readonly number[];
  /** Stands on a filled band, in the ground's colour. */
  readonly onBand: boolean;
}

/** A frame around the quiet zone, with its caption. */
export interface PlacedFrame {
  readonly surround: Surround;
  /** Path data for the even-odd rule; '' for none. */
  readonly path: string;
  readonly caption: CaptionText | null;
}

const lineWidth = 0.8;
/** Of its inner corners: rounder ones would lie on the quiet zone's. */
const holeRadius = 0.5;
/** Of the frame's own, outside its line: paper that belongs to the picture. */
const outside = 1;
/** The quiet zone alone. */
export const plainSurround: Surround = {
  left: quietZoneModules,
  top: quietZoneModules,
  right: quietZoneModules,
  bottom: quietZoneModules,
};

/** What reaches inwards from a frame's line keeps off the quiet zone: notches of a ticket, waves of a tide. Modules. */
const inwards: Readonly<Record<FrameForm, { readonly all: number; readonly band: number }>> = {
  line: { all: 0, band: 0 },
  band: { all: 0, band: 0 },
  ticket: { all: 2, band: 0 },
  tide: { all: 0, band: 1 },
};

/** @param words the caption's; '' for none */
export function placeFrame(
  modules: number,
  { frame, caption }: Pick<LookDesign, 'frame' | 'caption'>,
  words: string,
  measure: MeasureText,
): PlacedFrame {
  if (frame === null && words === '') return { surround: plainSurround, path: '', caption: null };
  const reach = frame === null ? { all: 0, band: 0 } : inwards[frame];
  const text = words === '' ? null : fitCaption(words, modules + 2 * quietZoneModules - 2, modules, measure);
  const rows = rowsOf(text, frame);
  const above = caption?.place === 'above';
  const clear = quietZoneModules + reach.all;
  const [over, under] = above ? [rows + reach.band, 0] : [0, rows + reach.band];
  const edge = frame === null ? 0 : outside + 1;
  const surround = { left: clear + edge, right: clear + edge, top: clear + edge + over, bottom: clear + edge + under };
  const line = {
    x: -clear - 1,
    y: -clear - 1 - over,
    width: modules + 2 * clear + 2,
    height: modules + 2 * clear + 2 + rows + reach.band,
  };
  const wordsTop = above ? -clear - over : modules + clear + reach.band;
  return {
    surround,
    path: frame === null ? '' : framePath(frame, line, { edge: above ? wordsTop + rows : wordsTop, above }),
    caption: text && captionAt(text, modules, wordsTop, rows, isBanded(frame)),
  };
}

/** Frames whose words stand on a filled band. */
function isBanded(frame: LookDesign['frame']): boolean {
  return frame === 'band' || frame === 'tide';
}

/** Height of what holds the words, modules. */
function rowsOf(text: FittedCaption | null, frame: LookDesign['frame']): number {
  if (text === null) return isBanded(frame) ? 3 : 0;
  return Math.ceil(text.lines.length * text.size * leading + (frame === null ? 1 : 2));
}

const leading = 1.22;
/** Baseline below the line's top, as a share of its size. */
const ascent = 0.95;

interface FittedCaption {
  readonly lines: readonly string[];
  readonly size: number;
}

/** Fifty units a module: sizes are fitted in whole steps. */
const unitsPerModule = 50;
const pointsPerUnit = 72 / 25.4;

/** On one line where its letters stay large enough; on two otherwise. */
function fitCaption(words: string, width: number, modules: number, measure: MeasureText): FittedCaption {
  const sizePt = (size: number): number => Math.round(size * unitsPerModule * pointsPerUnit);
  const fit = (maxLines: number, floor: number): FittedText =>
    fitText(
      words,
      {
        font: 'text-bold',
        sizePt: sizePt(modules / 8),
        floorPt: sizePt(modules / floor),
        widthMm: width * unitsPerModule,
        maxLines,
      },
      measure,
    );
  const oneLine = fit(1, 11);
  const fitted = oneLine.cut ? fit(2, 15) : oneLine;
  return { lines: fitted.lines, size: fitted.sizePt / pointsPerUnit / unitsPerModule };
}

function captionAt(
  { lines, size }: FittedCaption,
  modules: number,
  top: number,
  rows: number,
  onBand: boolean,
): CaptionText {
  const first = top + (rows - lines.length * size * leading) / 2;
  return {
    lines,
    size,
    x: modules / 2,
    baselines: lines.map((_, index) => first + (index * leading + (leading - 1) / 2 + ascent * 0.85) * size),
    onBand,
  };
}

interface Rect {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

interface Band {
  /** Where it meets the open part. */
  readonly edge: number;
  readonly above: boolean;
}

function framePath(form: FrameForm, inner: Rect, band: Band): string {
  const radius = form === 'ticket' ? 0 : 2;
  const outer = box(inner.x, inner.y, inner.width, inner.height, radius);
  const hole = box(
    inner.x + lineWidth,
    inner.y + lineWidth,
    inner.width - 2 * lineWidth,
    inner.height - 2 * lineWidth,
    Math.min(radius, holeRadius),
  );
  switch (form) {
    case 'line':
      return shapesPath([{ box: outer, hole }]);
    case 'band':
      return shapesPath([{ box: outer, hole: openPart(hole, band) }]);
    case 'tide':
      return shapesPath([{ box: outer, hole: openPart(hole, band) }]) + waves(hole, band);
    case 'ticket':
      return ticket(inner);
  }
}

/** The frame's inside without the band, which stays filled. */
function openPart(hole: Box, { edge, above }: Band): Box {
  const [tl, tr, br, bl] = hole.radii;
  return above
    ? { ...hole, y: edge, height: hole.y + hole.height - edge, radii: [0, 0, br, bl] }
    : { ...hole, height: edge - hole.y, radii: [tl, tr, 0, 0] };
}

/** From the band into the open part. */
function waves({ x, width }: Box, { edge, above }: Band): string {
  const count = Math.max(3, Math.round(width / 5));
  const crest = `q${inThousandths(width / count / 2)} ${above ? 1.8 : -1.8} ${inThousandths(width / count)} 0`;
  return `M${inThousandths(x)} ${inThousandths(edge)}${crest.repeat(count)}z`;
}

const notchRadius = 1.6;
const thinLine = 0.5;

/** An outline with a round notch in each side. */
function ticket({ x, y, width, height }: Rect): string {
  // The notches' middles lie on the outer edge, of the inner outline too: so the line is as thick around them.
  const outline = (inset: number, notch: number): string => {
    const [left, top, right, bottom] = [x + inset, y + inset, x + width - inset, y + height - inset];
    const chord = Math.sqrt(notch ** 2 - inset ** 2);
    const half = (bottom - top) / 2 - chord;
    const arc = (down: number): string =>
      `a${inThousandths(notch)} ${inThousandths(notch)} 0 0 0 0 ${inThousandths(2 * chord * down)}`;
    return `M${inThousandths(left)} ${inThousandths(top)}H${inThousandths(right)}v${inThousandths(half)}${arc(1)}V${inThousandths(bottom)}H${inThousandths(left)}v${inThousandths(-half)}${arc(-1)}z`;
  };
  return outline(0, notchRadius) + outline(thinLine, notchRadius + thinLine);
}
