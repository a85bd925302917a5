/**
 * A sheet that shows how far backs lie off: a cross on the front, a scale in millimetres behind it. Held against a window, the cross is
 * read on the scale; the figures are what the school's settings want.
 */
import { backOf, pageSize, pointsPerMm, type DuplexAdjustment, type DuplexEdge, type MmBox, type PaperFormat } from '@hapset/core';
import { startPdf } from '../picture/draw-pdf.js';
import { fontBytes } from '../typeface/faces.js';

export interface PrinterTest {
  readonly paper: PaperFormat;
  readonly printerMarginMm: number;
  readonly edge: DuplexEdge;
  readonly adjustment: DuplexAdjustment;
}

const armMm = 8;
const scaleMm = 8;

export async function printerTestPdf({ paper, printerMarginMm, edge, adjustment }: PrinterTest): Promise<Buffer> {
  const page = pageSize(paper, false);
  const { document, finish } = startPdf({ title: 'Printer test, both sides', madeAt: new Date(0) });
  document.registerFont('text', fontBytes('text')).registerFont('heading', fontBytes('heading'));
  const mm = (value: number): number => value * pointsPerMm;
  const line = (x1: number, y1: number, x2: number, y2: number, widthMm = 0.2): void => void document.lineWidth(mm(widthMm)).moveTo(mm(x1), mm(y1)).lineTo(mm(x2), mm(y2)).stroke('#000');
  const write = (text: string, xMm: number, yMm: number, sizePt: number, widthMm: number, align: 'left' | 'center' = 'left', font = 'text'): void => void document.font(font).fontSize(sizePt).fillColor('#000').text(text, mm(xMm), mm(yMm), { width: mm(widthMm), align });
  const add = (): void => void document.addPage({ size: [mm(page.widthMm), mm(page.heightMm)], margin: 0 });
  const middles: readonly MmBox[] = [0.3, 0.7].map((share) => ({ xMm: page.widthMm * share - 1, yMm: page.heightMm * 0.6 - 1, widthMm: 2, heightMm: 2 }));
  const centre = ({ xMm, yMm, widthMm, heightMm }: MmBox): readonly [number, number] => [xMm + widthMm / 2, yMm + heightMm / 2];
  const root = document.struct('Document');
  document.addStructure(root);

  add();
  root.add(
    document.struct('P', {}, () => {
      const steps = ['Print this on both sides, at 100 %, without “fit to page”.', `Let the printer turn the paper about its ${edge} edge.`, 'Hold it against a window, this side towards you: the crosses lie on the scales of the back.', 'The scales show what to write into School, Printer: how far backs lie to the right, and how far down. Signs are printed on the scales.', 'The frame is the printer’s margin. Where a side of it is missing, the margin is larger.'];
      write('Printer test', 25, 30, 20, page.widthMm - 50, 'left', 'heading');
      steps.forEach((step, index) => write(`${index + 1}.  ${step}`, 25, 45 + index * 13, 11, page.widthMm - 50));
    }),
  );
  document.markContent('Artifact', { type: 'Layout' });
  frame();
  for (const middle of middles) {
    const [x, y] = centre(middle);
    line(x - armMm, y, x + armMm, y);
    line(x, y - armMm, x, y + armMm);
  }
  document.endMarkedContent();

  add();
  document.markContent('Artifact', { type: 'Layout' });
  for (const middle of middles) {
    const { box, onItsHead } = backOf(page, middle, edge, adjustment);
    const [x, y] = centre(box);
    document.save();
    if (onItsHead) document.rotate(180, { origin: [mm(x), mm(y)] });
    scale(x, y);
    document.restore();
  }
  document.endMarkedContent();
  root.end();
  return finish();

  function frame(): void {
    document.lineWidth(mm(0.2)).rect(mm(printerMarginMm), mm(printerMarginMm), mm(page.widthMm - 2 * printerMarginMm), mm(page.heightMm - 2 * printerMarginMm)).stroke('#000');
  }

  /** Both scales through the point; what is read is how far the front lies off, so its opposite is how far the back does. */
  function scale(x: number, y: number): void {
    line(x - scaleMm - 2, y, x + scaleMm + 2, y, 0.15);
    line(x, y - scaleMm - 2, x, y + scaleMm + 2, 0.15);
    for (let at = -scaleMm; at <= scaleMm; at += 1) {
      const long = at % 5 === 0 ? 2.4 : 1.2;
      line(x + at, y - long / 2, x + at, y + long / 2, 0.15);
      line(x - long / 2, y + at, x + long / 2, y + at, 0.15);
      if (at !== 0 && at % 4 === 0) {
        // Behind the paper, right is left: the cross that shows at the right of the scale means a back too far to the left of it.
        write(signed(-at + adjustment.rightMm), x + at - 4, y + 2, 6.5, 8, 'center');
        write(signed(-at + adjustment.downMm), x + 2.4, y + at - 1.2, 6.5, 8);
      }
    }
    write('right', x + scaleMm + 3, y - 1.3, 6.5, 14);
    write('down', x - 4, y + scaleMm + 3, 6.5, 8, 'center');
  }
}

function signed(value: number): string {
  const rounded = Math.round(value * 10) / 10;
  return rounded > 0 ? `+${rounded}` : String(rounded);
}
