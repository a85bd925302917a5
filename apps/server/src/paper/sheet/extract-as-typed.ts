/**
 * Lets text from right to left be found and copied as it was typed. Readers of PDF files turn the letters of such a line round, one by
 * one; a ligature of two letters is one glyph, so its letters are told in the turned order as well.
 */
interface DrawnGlyph {
  readonly codePoints: readonly number[];
}

interface DrawnRun {
  readonly glyphs: readonly DrawnGlyph[];
}

/** What pdfkit keeps of the font in use, beyond its types. */
interface FontInUse {
  layout: (text: string, features?: unknown, onlyWidth?: boolean) => DrawnRun;
}

const fromRight = /^[\p{Script=Arabic}\p{Script=Hebrew}\p{Script=Syriac}\p{Script=Thaana}]/u;

/** Call it once for each font, after it was chosen. */
export function extractAsTyped(document: PDFKit.PDFDocument): void {
  const font = (document as unknown as { readonly _font: FontInUse })._font;
  const layout = font.layout.bind(font);
  font.layout = (text, features, onlyWidth) => {
    const run = layout(text, features, onlyWidth);
    if (onlyWidth !== true) run.glyphs.forEach(turnLigature);
    return run;
  };
}

function turnLigature(glyph: DrawnGlyph): void {
  const { codePoints } = glyph;
  const known = glyph as { codePoints: readonly number[]; isTurned?: boolean };
  if (codePoints.length < 2 || known.isTurned === true) return;
  if (!fromRight.test(String.fromCodePoint(...codePoints))) return;
  known.codePoints = [...codePoints].reverse();
  known.isTurned = true;
}
