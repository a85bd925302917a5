/** Draws a poster's layout as PDF: the code's drawing as vectors, embedded fonts, title and language for readers. */
import { pointsPerMm, type CodeDrawing, type PosterLayout, type TextBox } from '@hapset/core';
import { drawOnPdf, writePdf, type PictureBytes } from '../picture/draw-pdf.js';
import { fontBytes } from './sheet-fonts.js';

/** @param madeAt stands in the file's properties */
export async function drawPosterPdf(layout: PosterLayout, drawing: CodeDrawing, title: string, madeAt: Date, pictures: PictureBytes): Promise<Buffer> {
  return writePdf({ widthMm: layout.widthMm, heightMm: layout.heightMm, title, madeAt }, (document) => {
    for (const font of new Set(layout.texts.map((text) => text.font))) document.registerFont(font, fontBytes(font));
    for (const text of layout.texts) drawText(document, text);
    drawOnPdf(document, drawing, layout.code, pictures);
  });
}

function drawText(document: PDFKit.PDFDocument, box: TextBox): void {
  const lineMm = box.heightMm / box.lines.length;
  document.font(box.font).fontSize(box.sizePt).fillColor('#000');
  box.lines.forEach((line, index) => {
    document.text(line, box.xMm * pointsPerMm, (box.yMm + index * lineMm) * pointsPerMm, { width: box.widthMm * pointsPerMm, align: 'center', lineBreak: false });
  });
}
