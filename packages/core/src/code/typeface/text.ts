/**
 * Fits text into a width: wraps where its script allows (UAX 14), shrinks down to a floor, then cuts with an ellipsis and says so.
 * Lines are in the order in which they are read; which way they run is for whoever draws them.
 */
import LineBreaker from 'linebreak';

/** Faces that sheets are set in. */
export const sheetFonts = ['heading', 'text', 'text-bold', 'mono'] as const;
/** One of them. */
export type SheetFont = (typeof sheetFonts)[number];

/** Width of a text in millimetres; the adapter that knows the real fonts provides it. */
export type MeasureText = (text: string, font: SheetFont, sizePt: number) => number;

/** Lines of a text and the size at which they fit. */
export interface FittedText {
  readonly lines: readonly string[];
  readonly sizePt: number;
  /** True when words were left out. */
  readonly cut: boolean;
}

/** Room for a text: width in mm, sizes in points, lines. */
export interface TextOptions {
  readonly font: SheetFont;
  readonly sizePt: number;
  /** Smallest size that still reads from where it must. */
  readonly floorPt: number;
  readonly widthMm: number;
  /** Smaller letters come before more lines than these. */
  readonly maxLines: number;
  /** Lines at the smallest size, before words are left out; `maxLines` where absent. */
  readonly mostLines?: number;
  /** Where lines may end: as its language has it (UAX 14), or as in addresses, after "/", "-", "?" and "&" alone. */
  readonly breaks?: 'words' | 'address';
}

/** Fits `text`; an empty text gives no lines. */
export function fitText(text: string, options: TextOptions, measure: MeasureText): FittedText {
  const { maxLines, mostLines = maxLines, breaks = 'words' } = options;
  const pieces = breaks === 'words' ? piecesOf(text) : piecesOfAddress(text);
  for (let sizePt = options.sizePt; sizePt > options.floorPt; sizePt -= 1) {
    const fits = (part: string): boolean => measure(part, options.font, sizePt) <= options.widthMm;
    // Wrapping comes before shrinking; a word is broken only where it is too long for a line even at the floor.
    if (pieces.some((piece) => !fits(piece.trimEnd()))) continue;
    const lines = wrap(pieces, fits);
    if (lines.length <= maxLines) return { lines, sizePt, cut: false };
  }
  const fits = (part: string): boolean => measure(part, options.font, options.floorPt) <= options.widthMm;
  const lines = wrap(pieces, fits);
  const isWhole = breaks === 'words' || pieces.every((piece) => fits(piece));
  if (lines.length <= mostLines && isWhole) return { lines, sizePt: options.floorPt, cut: false };
  const kept = lines.slice(0, mostLines);
  kept[kept.length - 1] = ellipsize(kept.at(-1) ?? '', fits);
  return { lines: kept, sizePt: options.floorPt, cut: true };
}

/** Words with the blank behind them, syllables of scripts without blanks: what a line may end with. */
function piecesOf(text: string): readonly string[] {
  const plain = text.trim().replace(/\s+/gu, ' ');
  if (plain === '') return [];
  const breaker = new LineBreaker(plain);
  const pieces: string[] = [];
  let from = 0;
  for (let next = breaker.nextBreak(); next !== null; next = breaker.nextBreak()) {
    pieces.push(plain.slice(from, next.position));
    from = next.position;
  }
  return pieces;
}

/** An address breaks behind these marks, and never inside a host or a word. */
function piecesOfAddress(text: string): readonly string[] {
  return text.trim().match(/[^/\-?&]*[/\-?&]+|[^/\-?&]+/gu) ?? [];
}

function wrap(pieces: readonly string[], fits: (text: string) => boolean): string[] {
  const lines: string[] = [];
  let line = '';
  for (const piece of pieces.flatMap((long) => breakPiece(long, fits))) {
    if (line === '' || fits((line + piece).trimEnd())) line += piece;
    else {
      lines.push(line.trimEnd());
      line = piece;
    }
  }
  return line === '' ? lines : [...lines, line.trimEnd()];
}

/** Breaks what is wider than a line between what a reader takes for characters. */
function breakPiece(piece: string, fits: (text: string) => boolean): readonly string[] {
  if (fits(piece.trimEnd())) return [piece];
  const parts: string[] = [];
  let part = '';
  for (const character of charactersOf(piece)) {
    if (part !== '' && !fits((part + character).trimEnd())) {
      parts.push(part);
      part = '';
    }
    part += character;
  }
  return [...parts, part];
}

function ellipsize(line: string, fits: (text: string) => boolean): string {
  const characters = charactersOf(line);
  while (characters.length > 0 && !fits(`${characters.join('').trimEnd()}…`)) characters.pop();
  return `${characters.join('').trimEnd()}…`;
}

const segmenter = new Intl.Segmenter('en', { granularity: 'grapheme' });

/** Extended grapheme clusters (UAX 29). */
export function charactersOf(text: string): string[] {
  // Segmenting is slow, and plain letters need none.
  return /^[\u0020-\u007e]*$/.test(text) ? [...text] : Array.from(segmenter.segment(text), ({ segment }) => segment);
}

/** Height of a line in millimetres at that size, with the leading that sheets use. */
export function lineHeightMm(sizePt: number): number {
  return (sizePt * 1.22 * 25.4) / 72;
}

/** From a line's top to its baseline, in millimetres; below it is room for what hangs down in every script. */
export function baselineMm(sizePt: number): number {
  return (sizePt * 0.93 * 25.4) / 72;
}
