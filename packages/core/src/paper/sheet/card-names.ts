/** One size for all names of a sheet of cards: cards of one class look alike, and nobody's name is smaller than another's. */
import type { MeasureText } from '../../code/typeface/text.js';
import { cardBoxes, shapeOf } from './card-boxes.js';
import type { MmBox } from '../face/box.js';
import type { Composition } from './sheet-page.js';

const largestPt = 17;
/** Between a photo and a code. */
const underPhotoPt = 13;
const smallestPt = 7;
/** Of all names, those that may take a third line, and of all words, those that may be broken, so that the others are larger. */
const exceptions = 0.04;
const measuredPt = 10;

const known = new WeakMap<Composition, number>();

/**
 * The largest size at which nearly all names fit into two lines, and nearly no word is wider than a line.
 * @param space of a card, mm
 * @returns points, in halves
 */
export function commonNamePt(composition: Composition, space: MmBox, measure: MeasureText): number {
  const before = known.get(composition);
  if (before !== undefined) return before;
  const { setup, items } = composition;
  const { card = 'band' } = setup.design;
  const widthMm = Math.min(
    ...items.map((item) => {
      const look = { design: card, band: item.band ?? null };
      const { title, texts } = cardBoxes(look, space, shapeOf({ code: item }), item.photoAspect);
      return (title ?? texts).widthMm;
    }),
  );
  const isTight = card === 'upright' && items.some(({ photoAspect }) => photoAspect !== undefined);
  const names = items.map(({ texts }) => texts.title).filter((name) => name !== '');
  const size = sizeFor(
    names,
    { widthMm, largestPt: isTight ? underPhotoPt : largestPt },
    (text) => measure(text, 'heading', measuredPt) / measuredPt,
  );
  known.set(composition, size);
  return size;
}

function sizeFor(
  names: readonly string[],
  { widthMm, largestPt: most }: { readonly widthMm: number; readonly largestPt: number },
  mmPerPt: (text: string) => number,
): number {
  const sizeOf = (text: string): number => widthMm / Math.max(1e-9, mmPerPt(text));
  const lines = nearlyLeast(names.map((name) => twoLinesPt(name.split(/\s+/u), sizeOf)));
  const words = nearlyLeast(names.flatMap((name) => name.split(/\s+/u)).map(sizeOf));
  // Half a point is no difference that anybody sees.
  return Math.max(smallestPt, Math.floor(Math.min(most, lines, words) * 2) / 2);
}

function nearlyLeast(sizes: readonly number[]): number {
  return [...sizes].sort((one, other) => one - other)[Math.floor(sizes.length * exceptions)] ?? largestPt;
}

/** The largest size at which the words fit into two lines, wherever the line is broken. */
function twoLinesPt(words: readonly string[], sizeOf: (text: string) => number): number {
  const breaks = words.map((_, at) =>
    Math.min(
      sizeOf(words.slice(0, at + 1).join(' ')),
      at + 1 < words.length ? sizeOf(words.slice(at + 1).join(' ')) : Infinity,
    ),
  );
  return Math.max(...breaks);
}
