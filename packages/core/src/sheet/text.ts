/** Fits text into a width: wraps at blanks, shrinks down to a floor, then cuts with an ellipsis and says so. */

export const sheetFonts = ['heading', 'text', 'text-bold', 'mono'] as const;
export type SheetFont = (typeof sheetFonts)[number];

/** Width of a text in millimetres; the adapter that knows the real fonts provides it. */
export type MeasureText = (text: string, font: SheetFont, sizePt: number) => number;

export interface FittedText {
  readonly lines: readonly string[];
  readonly sizePt: number;
  /** True when words were left out. */
  readonly cut: boolean;
}

export interface TextWish {
  readonly font: SheetFont;
  readonly sizePt: number;
  /** Smallest size that still reads from where it must. */
  readonly floorPt: number;
  readonly widthMm: number;
  readonly maxLines: number;
}

/** Fits `text`; an empty text gives no lines. */
export function fitText(text: string, wish: TextWish, measure: MeasureText): FittedText {
  const words = text.trim().split(/\s+/u).filter((word) => word !== '');
  for (let sizePt = wish.sizePt; sizePt >= wish.floorPt; sizePt -= 1) {
    const fits = (part: string): boolean => measure(part, wish.font, sizePt) <= wish.widthMm;
    // Wrapping comes before shrinking; a word is broken only where it is too long for a line even at the floor.
    if (sizePt > wish.floorPt && words.some((word) => !fits(word))) continue;
    const lines = wrap(words, fits);
    if (lines.length <= wish.maxLines) return { lines, sizePt, cut: false };
  }
  const fits = (part: string): boolean => measure(part, wish.font, wish.floorPt) <= wish.widthMm;
  const lines = wrap(words, fits);
  if (lines.length <= wish.maxLines) return { lines, sizePt: wish.floorPt, cut: false };
  const kept = lines.slice(0, wish.maxLines);
  kept[kept.length - 1] = ellipsize(kept.at(-1) ?? '', fits);
  return { lines: kept, sizePt: wish.floorPt, cut: true };
}

function wrap(words: readonly string[], fits: (text: string) => boolean): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of words.flatMap((long) => breakWord(long, fits))) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (fits(longer)) line = longer;
    else {
      lines.push(line);
      line = word;
    }
  }
  return line === '' ? lines : [...lines, line];
}

/** Breaks a word that is wider than a line, at characters (an address has no blanks). */
function breakWord(word: string, fits: (text: string) => boolean): string[] {
  if (fits(word)) return [word];
  const pieces: string[] = [];
  let piece = '';
  for (const character of word) {
    if (piece !== '' && !fits(piece + character)) {
      pieces.push(piece);
      piece = '';
    }
    piece += character;
  }
  return [...pieces, piece];
}

function ellipsize(line: string, fits: (text: string) => boolean): string {
  const characters = [...line];
  while (characters.length > 0 && !fits(`${characters.join('').trimEnd()}…`)) characters.pop();
  return `${characters.join('').trimEnd()}…`;
}

/** Height of a line in millimetres at that size, with the leading that sheets use. */
export function lineHeightMm(sizePt: number): number {
  return (sizePt * 1.22 * 25.4) / 72;
}
