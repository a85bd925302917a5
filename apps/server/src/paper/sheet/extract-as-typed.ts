/**
 * Makes right-to-left text searchable and copyable. PDF readers reverse such a line, glyph by glyph. A ligature is one glyph with several
 * letters, so its letters are stored in reverse too.
 */
interface DrawnGlyph {
  codePoints: readonly number[];
  isTurned?: boolean;
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
  const { codePoints, isTurned = false } = glyph;
  if (isTurned || codePoints.length < 2 || !fromRight.test(String.fromCodePoint(...codePoints))) return;
  glyph.codePoints = [...codePoints].reverse();
  glyph.isTurned = true;
}
