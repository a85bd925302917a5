/** Draws a poster's layout as PDF: one vector path for the code, embedded fonts, title and language for readers. */
import { outlinePath, pointsPerMm, type PosterLayout, type SymbolPlan, type TextBox } from '@hapset/core';
import PDFDocument from 'pdfkit';
import { fontBytes } from './sheet-fonts.js';

/** @param madeAt stands in the file's properties */
export async function drawPosterPdf(layout: PosterLayout, plan: SymbolPlan, title: string, madeAt: Date): Promise<Buffer> {
  const document = new PDFDocument({
    size: [layout.widthMm * pointsPerMm, layout.heightMm * pointsPerMm],
    margin: 0,
    autoFirstPage: true,
    displayTitle: true,
    lang: 'en',
    info: { Title: title, Creator: 'Hapset', Producer: 'Hapset', CreationDate: madeAt, ModDate: madeAt },
  });
  const chunks: Buffer[] = [];
  document.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise<void>((resolve, reject) => document.on('end', resolve).on('error', reject));
  for (const font of new Set(layout.texts.map((text) => text.font))) document.registerFont(font, fontBytes(font));
  for (const text of layout.texts) drawText(document, text);
  const scale = (layout.code.sizeMm * pointsPerMm) / plan.modules;
  document.save().translate(layout.code.xMm * pointsPerMm, layout.code.yMm * pointsPerMm).scale(scale).path(outlinePath(plan)).fill('#000').restore();
  document.end();
  await ended;
  return Buffer.concat(chunks);
}

function drawText(document: PDFKit.PDFDocument, box: TextBox): void {
  const lineMm = box.heightMm / box.lines.length;
  document.font(box.font).fontSize(box.sizePt).fillColor('#000');
  box.lines.forEach((line, index) => {
    document.text(line, box.xMm * pointsPerMm, (box.yMm + index * lineMm) * pointsPerMm, { width: box.widthMm * pointsPerMm, align: 'center', lineBreak: false });
  });
}
